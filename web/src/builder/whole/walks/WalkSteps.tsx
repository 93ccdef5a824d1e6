import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { WalkResult, WalkTold } from '../../../api/client';
import { put } from '../../../document/edit';
import { Action, Line } from '../../../ui/controls';
import { useWhole } from '../context';
import { stepMoved, stepOut, stepState } from './walks';

interface StepsProps {
  walk: WalkTold;
  result: WalkResult | undefined;
  going: boolean;
  onGo: () => void;
}

const looks = {
  done: ['✓', 'pine'],
  differs: ['✕', 'brick'],
  ahead: ['·', 'muted'],
} as const;

/** One walk: its name, who goes it, and its steps with how far it went. */
export function WalkSteps({ walk, result, going, onGo }: StepsProps) {
  const { draft, edit } = useWhole();
  const [at, setAt] = useState<string>(); // the step whose changes are offered
  return (
    <Flex direction="column" flex="1" minW={0} minH={0} p="14px 22px 0">
      <Flex align="flex-start" gap="12px" mb="10px">
        <Box flex="1" minW={0}>
          <WalkName walk={walk} />
          <Box fontSize="note" color="muted">
            as {walk.who}; {walk.at ? `the clock stands at ${walk.at}` : 'the clock goes on'}
          </Box>
        </Box>
        <Action disabled={going} onClick={onGo}>
          {going ? 'On its way …' : 'Go it'}
        </Action>
      </Flex>
      <Box as="ol" overflowY="auto" flex="1" minH={0} pb="22px" aria-label={`Steps of ${walk.name}`}>
        {walk.steps.map((s, i) => {
          const state = stepState(s.id, result);
          const [mark, color] = looks[state];
          const claim = s.does === 'claim';
          return (
            <Flex
              as="li"
              key={s.id}
              align="center"
              gap="10px"
              minH="34px"
              px="8px"
              borderWidth="1px"
              borderColor={state === 'differs' ? 'brick' : 'transparent'}
              bg={state === 'differs' ? 'brickSoft' : 'transparent'}
              borderRadius="3px"
              onFocus={() => setAt(s.id)}
              onMouseEnter={() => setAt(s.id)}
            >
              <Box color={color} fontWeight="800" w="14px" flexShrink={0} textAlign="center" aria-hidden="true">
                {mark}
              </Box>
              <Box color="muted" w="22px" flexShrink={0} textAlign="right" fontSize="note" aria-hidden="true">
                {i + 1}
              </Box>
              <Box
                as="button"
                flex="1"
                minW={0}
                textAlign="left"
                py="5px"
                pl={claim ? '14px' : 0}
                color={claim ? 'muted' : 'ink'}
                aria-label={`step ${i + 1}: ${s.words}${state === 'differs' ? ', differs' : state === 'done' && result ? ', as expected' : ''}`}
              >
                {s.words}
              </Box>
              {at === s.id && (
                <Flex gap="2px" flexShrink={0}>
                  <Action
                    tone="quiet"
                    minH="26px"
                    disabled={i === 0}
                    aria-label={`step ${i + 1} up`}
                    onClick={() => void edit(stepMoved(draft.entities, walk.id, s.id, -1))}
                  >
                    ↑
                  </Action>
                  <Action
                    tone="quiet"
                    minH="26px"
                    disabled={i === walk.steps.length - 1}
                    aria-label={`step ${i + 1} down`}
                    onClick={() => void edit(stepMoved(draft.entities, walk.id, s.id, 1))}
                  >
                    ↓
                  </Action>
                  <Action
                    tone="quiet"
                    minH="26px"
                    aria-label={`take step ${i + 1} out`}
                    onClick={() => void edit(stepOut(draft.entities, walk.id, s.id))}
                  >
                    take out
                  </Action>
                </Flex>
              )}
            </Flex>
          );
        })}
      </Box>
    </Flex>
  );
}

/** The name of a walk, that can be written otherwise. */
function WalkName({ walk }: { walk: WalkTold }) {
  const { draft, edit } = useWhole();
  const [name, setName] = useState<string>();
  if (name === undefined) {
    return (
      <Box as="h2" fontSize="head" fontWeight="800">
        <Box as="button" textAlign="left" cursor="text" title="Call it otherwise" onClick={() => setName(walk.name)}>
          {walk.name}
        </Box>
      </Box>
    );
  }
  const keep = () => {
    const to = name.trim();
    if (to && to !== walk.name) void edit(put(draft.entities, [walk.id, 'name'], to));
    setName(undefined);
  };
  return (
    <Line
      autoFocus
      aria-label="Name of the walk"
      value={name}
      maxLength={200}
      onChange={(e) => setName(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => {
        if (e.key === 'Enter') keep();
        if (e.key === 'Escape') setName(undefined);
      }}
    />
  );
}
