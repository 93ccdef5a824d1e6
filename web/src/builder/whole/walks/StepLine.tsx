import { Box, Flex } from '@chakra-ui/react';
import type { WalkResult, WalkTold } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { useWhole } from '../context';
import { stepMoved, stepOut, stepState } from './walks';

interface LineProps {
  walk: WalkTold;
  n: number; // which of its steps
  result: WalkResult | undefined;
  on: boolean; // it is drawn
  offered: boolean; // what can be done with it
  onOffer: () => void;
  onWatch: () => void;
  onChange: () => void;
  onPutIn: () => void;
}

const looks = {
  done: ['✓', 'pine'],
  differs: ['✕', 'brick'],
  ahead: ['·', 'muted'],
} as const;

/** One step in words: how it came out, and what can be done with it. */
export function StepLine({ walk, n, result, on, offered, onOffer, onWatch, onChange, onPutIn }: LineProps) {
  const { draft, edit } = useWhole();
  const s = walk.steps[n];
  if (!s) return null;
  const state = stepState(s.id, result);
  const [mark, color] = looks[state];
  const claim = s.does === 'claim';
  const differs = state === 'differs';
  const tool = (words: string, label: string, onPress: () => void, disabled = false) => (
    <Action tone="quiet" minH="26px" px="6px" aria-label={label} title={label} disabled={disabled} onClick={onPress}>
      {words}
    </Action>
  );
  return (
    <Flex
      align="center"
      gap="8px"
      minH="34px"
      px="8px"
      borderWidth="1px"
      borderColor={differs ? 'brick' : on ? 'amber' : 'transparent'}
      bg={differs ? 'brickSoft' : on ? 'amberSoft' : 'transparent'}
      borderRadius="3px"
      position="relative"
      onFocus={onOffer}
      onMouseEnter={onOffer}
    >
      <Box color={color} fontWeight="800" w="14px" flexShrink={0} textAlign="center" aria-hidden="true">
        {mark}
      </Box>
      <Box color="muted" w="20px" flexShrink={0} textAlign="right" fontSize="note" aria-hidden="true">
        {n + 1}
      </Box>
      <Box
        as="button"
        flex="1"
        minW={0}
        textAlign="left"
        py="5px"
        pl={claim ? '12px' : 0}
        color={claim ? 'muted' : 'ink'}
        cursor="pointer"
        title="Draw the screen there"
        aria-current={on || undefined}
        aria-label={`step ${n + 1}: ${s.words}${differs ? ', differs' : state === 'done' && result ? ', as expected' : ''}`}
        onClick={onWatch}
      >
        {s.words}
      </Box>
      {offered && (
        <Flex
          gap="0"
          position="absolute"
          right="4px"
          top="3px"
          bg="paper"
          borderWidth="1px"
          borderColor="rule"
          borderRadius="4px"
        >
          {tool('change', `change step ${n + 1}`, onChange)}
          {tool('+', `put one in after step ${n + 1}`, onPutIn)}
          {tool('↑', `step ${n + 1} up`, () => void edit(stepMoved(draft.entities, walk.id, s.id, -1)), n === 0)}
          {tool(
            '↓',
            `step ${n + 1} down`,
            () => void edit(stepMoved(draft.entities, walk.id, s.id, 1)),
            n === walk.steps.length - 1,
          )}
          {tool('×', `take step ${n + 1} out`, () => void edit(stepOut(draft.entities, walk.id, s.id)))}
        </Flex>
      )}
    </Flex>
  );
}
