import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Problem, WalkResult, WalkTold } from '../../../api/client';
import { put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { useWhole } from '../context';
import { stepOut } from './walks';

interface SideProps {
  walk: WalkTold;
  result: WalkResult | undefined;
  problem: Problem | undefined;
}

/** Beside a walk: where it differs, what was expected and what was found, and what can be done about it. */
export function WalkSide({ walk, result, problem }: SideProps) {
  const { edit, openWalk } = useWhole();
  const [sure, setSure] = useState(false);
  return (
    <Flex
      as="aside"
      aria-label="What came of it"
      direction="column"
      gap="14px"
      w="340px"
      flexShrink={0}
      borderLeftWidth="1px"
      borderColor="rule"
      p="14px 22px"
      overflowY="auto"
    >
      {problem && (
        <Box color="brick" role="alert">
          {problem.what} {problem.then}
        </Box>
      )}
      {result?.differs ? (
        <Differs walk={walk} result={result} />
      ) : result ? (
        <Box>
          <Box fontWeight="800">As expected</Box>
          <Box fontSize="note" color="muted">
            All {walk.steps.length} steps were gone over the records as they are now. What they changed was not kept.
          </Box>
        </Box>
      ) : (
        <Box fontSize="note" color="muted">
          Go it, and what comes of each step is told here. It is gone over the records as they are now; nothing that it
          changes is kept, and nothing reaches the plant.
        </Box>
      )}
      <Box flex="1" />
      {sure ? (
        <Flex gap="8px" align="center" fontSize="note">
          <Box flex="1">Remove the walk?</Box>
          <Action
            tone="bad"
            onClick={() => {
              void edit([{ op: 'remove', path: `/${walk.id}` }]);
              openWalk(undefined);
            }}
          >
            Remove
          </Action>
          <Action tone="quiet" onClick={() => setSure(false)}>
            Cancel
          </Action>
        </Flex>
      ) : (
        <Action tone="quiet" alignSelf="flex-start" ml="-8px" onClick={() => setSure(true)}>
          Remove this walk …
        </Action>
      )}
    </Flex>
  );
}

function Differs({ walk, result }: { walk: WalkTold; result: WalkResult }) {
  const { draft, edit, openScreen } = useWhole();
  const d = result.differs;
  if (!d) return null;
  const last = result.steps.at(-1);
  const step = entityOf(draft.entities, walk.id, 'walk')?.steps?.[d.step];
  const { now } = d;
  const part = (label: string, words: string, color: string) => (
    <Box>
      <Box fontSize="note" color="muted">
        {label}
      </Box>
      <Box fontWeight="700" color={color}>
        {words}
      </Box>
    </Box>
  );
  return (
    <>
      <Box fontWeight="800">{d.step ? `Step ${result.steps.length + 1} differs` : 'It cannot be begun'}</Box>
      {part('Expected', d.expected, 'ink')}
      {part('Found', d.found, 'brick')}
      {d.why && part('Because', d.why, 'ink')}
      {last && step?.does !== 'claim' && (
        <Box fontSize="note" color="muted">
          Before that it stood on “{last.stands}”.
        </Box>
      )}
      <Flex direction="column" gap="6px" align="flex-start">
        {d.screen && <Action onClick={() => openScreen(d.screen ?? '', step?.element)}>Show it on the screen</Action>}
        {now && (
          <Action onClick={() => void edit(put(draft.entities, [walk.id, 'steps', d.step], now))}>
            Take what is there now
          </Action>
        )}
        {d.step && (
          <Action onClick={() => void edit(stepOut(draft.entities, walk.id, d.step))}>Take the step out</Action>
        )}
      </Flex>
    </>
  );
}
