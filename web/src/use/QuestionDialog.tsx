import { Box, Dialog, Flex, Portal } from '@chakra-ui/react';
import { useState } from 'react';
import type { Question } from '../api/client';
import { Action } from '../ui/controls';
import type { Answers } from './usePress';

interface QuestionProps {
  question: Question;
  onAnswer: (a: Answers) => void;
  onClose: () => void;
}

const titles: Record<string, string> = {
  confirm: 'Is that right?',
  unsaved: 'Not saved yet',
  conflict: 'Changed by two people',
};

/** A question that is asked before anything is done. Escape means no. */
export function QuestionDialog({ question, onAnswer, onClose }: QuestionProps) {
  return (
    <Dialog.Root open onOpenChange={(d) => !d.open && onClose()} placement="center" role="alertdialog">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content
            bg="plate"
            color="ink"
            borderRadius="4px"
            maxW="520px"
            borderTopWidth="6px"
            borderColor="amber"
          >
            <Dialog.Header pb="4px">
              <Dialog.Title fontSize="head" fontWeight="800">
                {titles[question.kind] ?? 'A question'}
              </Dialog.Title>
            </Dialog.Header>
            <Dialog.Body fontSize="text">
              {question.words}
              {question.kind === 'conflict' && <Conflict question={question} onAnswer={onAnswer} onClose={onClose} />}
            </Dialog.Body>
            {question.kind !== 'conflict' && (
              <Dialog.Footer justifyContent="flex-start">
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
                    <Action tone="bad" onClick={() => onAnswer({ unsaved: 'drop' })}>
                      Go without saving
                    </Action>
                  </>
                )}
                <Action onClick={onClose}>Stay here</Action>
              </Dialog.Footer>
            )}
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
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
