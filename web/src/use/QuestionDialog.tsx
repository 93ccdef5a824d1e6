import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Question, Title } from '../api/client';
import type { Answers } from '../trail/asking';
import { Action } from '../ui/controls';
import { AskDialog } from './AskDialog';
import { PickRecord } from './PickRecord';

interface QuestionProps {
  question: Question;
  onAnswer: (a: Answers) => void;
  onClose: () => void;
  keeps?: boolean; // what was typed can wait as a draft
  titles?: (table: string, find: string) => Promise<Title[]>; // to pick a record among
}

const titles: Record<string, string> = {
  confirm: 'Is that right?',
  unsaved: 'Not saved yet',
  conflict: 'Changed by two people',
  delete: 'Delete for good',
  pick: 'Choose first',
};

/** A question that is asked before anything is done. Escape means no. */
export function QuestionDialog(p: QuestionProps) {
  const { question, onClose } = p;
  const conflict = question.kind === 'conflict';
  return (
    <AskDialog
      title={titles[question.kind] ?? 'A question'}
      answers={conflict ? undefined : <PlainAnswers {...p} />}
      onClose={onClose}
    >
      {question.words}
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
          Yes, do it
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
      <Action onClick={onClose}>Stay here</Action>
    </>
  );
}

/** What refers to the record, and what becomes of it. */
function HangingOn({ question }: { question: Question }) {
  const hanging = question.hanging ?? [];
  if (hanging.length === 0) return <Box mt="8px">This cannot be taken back.</Box>;
  const fates: Record<string, string> = {
    deleted: 'will be deleted too',
    emptied: 'will refer to nothing any more',
    kept: 'refer to it: while they do, it cannot be deleted',
  };
  return (
    <Box mt="10px">
      On it hang:
      <Box as="ul" pl="18px" mt="4px">
        {hanging.map((h) => (
          <li key={h.label}>
            <b>
              {h.n.toLocaleString('en')} {h.label.toLowerCase()}
            </b>
            , which {fates[h.then] ?? h.then}
          </li>
        ))}
      </Box>
      {!keptBack(question) && <Box mt="8px">This cannot be taken back.</Box>}
    </Box>
  );
}

function keptBack(question: Question) {
  return (question.hanging ?? []).some((h) => h.then === 'kept');
}

/** Both values side by side, field by field. */
function Conflict({ question, onAnswer, onClose }: QuestionProps) {
  const fields = question.fields ?? [];
  const [keep, setKeep] = useState<Record<string, string>>(() =>
    Object.fromEntries(fields.map((f) => [f.field, 'mine'])),
  );
  return (
    <Box mt="12px">
      {fields.map((f) => (
        <Box key={f.field} as="fieldset" mb="12px">
          <Box as="legend" fontWeight="700" mb="4px">
            {f.label}
          </Box>
          <Flex gap="10px">
            {(['mine', 'theirs'] as const).map((side) => (
              <Box
                as="label"
                key={side}
                flex="1"
                p="8px 10px"
                borderWidth="1.5px"
                borderRadius="4px"
                borderColor={keep[f.field] === side ? 'pine' : 'rule'}
                bg={keep[f.field] === side ? 'pineSoft' : undefined}
                cursor="pointer"
              >
                <input
                  type="radio"
                  name={f.field}
                  checked={keep[f.field] === side}
                  onChange={() => setKeep({ ...keep, [f.field]: side })}
                />{' '}
                <Box as="span" fontSize="note" color="muted">
                  {side === 'mine' ? 'yours' : 'theirs'}
                </Box>
                <Box fontWeight="700">{f[side] || '–'}</Box>
              </Box>
            ))}
          </Flex>
        </Box>
      ))}
      <Flex gap="10px" mt="14px" mb="6px">
        <Action tone="main" onClick={() => onAnswer({ keep })}>
          Save like this
        </Action>
        <Action onClick={onClose}>Go on editing</Action>
      </Flex>
    </Box>
  );
}
