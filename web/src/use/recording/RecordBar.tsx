import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Recording } from '../../trail/recorded';
import { Action, Line } from '../../ui/controls';

interface BarProps {
  recorder: {
    recording: Recording | undefined;
    problem: string;
    drop: () => void;
    keep: (name: string, pos: number) => Promise<string | undefined>;
  };
  who: string;
  pos: number; // behind the walks that there are
  hint: string;
  onKept: (walk: string) => void;
}

/** While a walk is recorded: how long it is, and what becomes of it. */
export function RecordBar({ recorder, who, pos, hint, onKept }: BarProps) {
  const [name, setName] = useState<string>();
  const n = recorder.recording?.steps.length ?? 0;
  return (
    <Flex
      as="form"
      role="group"
      aria-label="Recording"
      align="center"
      gap="10px"
      bg="brickSoft"
      px="22px"
      minH="42px"
      borderBottomWidth="1px"
      borderColor="brick"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        const to = name?.trim();
        if (to) void recorder.keep(to, pos).then((walk) => walk && onKept(walk));
      }}
    >
      <Box color="brick" fontWeight="800" aria-hidden="true">
        ●
      </Box>
      <Box fontWeight="700" whiteSpace="nowrap" aria-live="polite">
        Recording as {who}: {n} {n === 1 ? 'step' : 'steps'}
      </Box>
      <Box flex="1" minW={0} fontSize="note" truncate color={recorder.problem ? 'brick' : 'ink'}>
        {recorder.problem || hint}
      </Box>
      {name === undefined ? (
        <Action type="button" tone="main" disabled={n === 0} onClick={() => setName('')}>
          Keep it …
        </Action>
      ) : (
        <>
          <Line
            autoFocus
            w="320px"
            minH="32px"
            aria-label="Name of the walk"
            placeholder="what it shows, in a few words"
            value={name}
            maxLength={200}
            onChange={(e) => setName(e.target.value)}
            onKeyDown={(e) => e.key === 'Escape' && setName(undefined)}
          />
          <Action type="submit" tone="main" disabled={!name.trim()}>
            Keep
          </Action>
        </>
      )}
      <Action type="button" onClick={recorder.drop}>
        Drop
      </Action>
    </Flex>
  );
}
