import type { Question, Title } from '../../api/client';
import type { Answers } from '../../trail/asking';
import { Action } from '../../ui/controls';
import { AskDialog } from '../AskDialog';
import { Conflict } from './Conflict';
import { HangingOn, keptBack } from './HangingOn';
import { PickRecord } from './PickRecord';

interface QuestionProps {
  question: Question;
  onAnswer: (a: Answers) => void;
  onClose: () => void;
  keeps?: boolean; // what was typed can wait as a draft
  titles?: (table: string, find: string) => Promise<Title[]>; // to pick a record among
}

const titles: Record<string, string> = {
  confirm: 'Please confirm',
  unsaved: 'Not saved yet',
  conflict: 'Changed by two people',
  delete: 'Delete for good',
};

/** A question that is asked before anything is done. Escape means no. */
export function QuestionDialog(p: QuestionProps) {
  const { question, onClose } = p;
  const conflict = question.kind === 'conflict';
  return (
    <AskDialog
      title={titles[question.kind] ?? question.words}
      answers={conflict ? undefined : <PlainAnswers {...p} />}
      onClose={onClose}
    >
      {titles[question.kind] && question.words}
      {question.kind === 'delete' && <HangingOn question={question} />}
      {conflict && <Conflict {...p} />}
      {question.pick && p.titles && (
        <PickRecord
          pick={question.pick}
          titles={p.titles}
          onPick={(key) => p.onAnswer({ picked: { [question.pick?.input ?? '']: key } })}
        />
      )}
    </AskDialog>
  );
}

function PlainAnswers({ question, onAnswer, onClose, keeps }: QuestionProps) {
  return (
    <>
      {question.kind === 'delete' && (
        <Action tone="bad" disabled={keptBack(question)} onClick={() => onAnswer({ confirmed: true })}>
          Delete
        </Action>
      )}
      {question.kind === 'confirm' && (
        <Action tone="main" onClick={() => onAnswer({ confirmed: true })}>
          Yes
        </Action>
      )}
      {question.kind === 'unsaved' && (
        <>
          <Action tone="main" onClick={() => onAnswer({ unsaved: 'save' })}>
            Save, then go
          </Action>
          {keeps && <Action onClick={() => onAnswer({ unsaved: 'keep' })}>Keep it for later</Action>}
          <Action tone="bad" onClick={() => onAnswer({ unsaved: 'drop' })}>
            Go without saving
          </Action>
        </>
      )}
      <Action onClick={onClose}>Cancel</Action>
    </>
  );
}
