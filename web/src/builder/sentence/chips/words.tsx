import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Line } from '../../../ui/controls';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { gateOf, putGate } from '../wiring';
import type { ChipProps } from './chip';

interface WordsProps {
  label: string;
  hint?: string; // said above the field, where the label does not say enough
  field?: string;
  value: string;
  none?: string; // what taking it away is called; without it the text stays
  onSave: (v: string | undefined) => void;
  onClose: () => void;
}

/** One text, which may be taken away. */
export function WordsPicker({ label, hint, field, value, none, onSave, onClose }: WordsProps) {
  const [words, setWords] = useState(value);
  return (
    <Pop label={label} onClose={onClose}>
      <Box
        as="form"
        p="12px"
        w="380px"
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          onSave(words.trim() || undefined);
        }}
      >
        <Box fontSize="note" color="muted" mb="3px">
          {hint ?? label}
        </Box>
        <Line aria-label={field ?? label} autoFocus value={words} onChange={(e) => setWords(e.target.value)} />
        <Flex gap="8px" mt="10px">
          <Action type="submit" tone="main">
            Set
          </Action>
          {value && none && <Action onClick={() => onSave(undefined)}>{none}</Action>}
        </Flex>
      </Box>
    </Pop>
  );
}

/** What is asked before anything is done. */
export function ConfirmPicker({ wayRef, onClose }: ChipProps) {
  const { edit } = useBuild();
  return (
    <WordsPicker
      label="What is asked before"
      value={gateOf(wayRef)?.confirm ?? ''}
      none="do not ask"
      onClose={onClose}
      onSave={(v) => {
        onClose();
        void edit(putGate(wayRef, ['confirm'], v));
      }}
    />
  );
}
