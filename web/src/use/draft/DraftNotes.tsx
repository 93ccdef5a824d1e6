import { Box, Flex } from '@chakra-ui/react';
import { type ReactNode, useState } from 'react';
import type { KeptDraft } from '../../api/client';
import { Action } from '../../ui/controls';

interface DraftNotesProps {
  draft: KeptDraft | undefined;
  others: KeptDraft[];
  dirty: boolean;
  taken: boolean;
  onTake: (id: string) => void;
  onForget: (id?: string) => void; // of another tab; without it what is typed here
  onTakeBack: (as: 'there' | 'here') => void; // with what was typed in the other tab, or in this one
}

/** Tells of what was typed before and not saved, here or in another tab, and what can be done with it. */
export function DraftNotes({ draft, others, dirty, taken, onTake, onForget, onTakeBack }: DraftNotesProps) {
  const [found] = useState(draft); // one that was begun here needs no word
  const [other] = others;
  if (taken) {
    return (
      <Note words="Another tab of yours has gone on with what you typed here. What you type now is not saved.">
        <Action onClick={() => onTakeBack('there')}>Bring that version here</Action>
        <Action onClick={() => onTakeBack('here')}>Keep this version</Action>
      </Note>
    );
  }
  if (found && dirty) {
    return (
      <Note words={`What you typed here ${when(found.at)} was not saved; here it is again.`}>
        <Action onClick={() => onForget()}>Start from what is saved</Action>
      </Note>
    );
  }
  if (other && !dirty) {
    return (
      <Note words={`You began to change this ${when(other.at)}, in another tab, and did not save it.`}>
        <Action tone="main" onClick={() => onTake(other.id)}>
          Go on with it here
        </Action>
        <Action onClick={() => onForget(other.id)}>Discard it</Action>
      </Note>
    );
  }
  return null;
}

function Note({ words, children }: { words: string; children: ReactNode }) {
  return (
    <Flex
      role="status"
      align="center"
      wrap="wrap"
      gap="8px 12px"
      px="20px"
      py="8px"
      bg="amberSoft"
      color="amberText"
      fontWeight="600"
    >
      <Box flex="1" minW="220px">
        {words}
      </Box>
      {children}
    </Flex>
  );
}

function when(at: string): string {
  const then = new Date(at);
  const time = then.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  if (then.toDateString() === new Date().toDateString()) return `at ${time}`;
  return `on ${then.toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })} at ${time}`;
}
