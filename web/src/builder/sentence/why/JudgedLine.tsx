import { Box, Flex } from '@chakra-ui/react';
import type { Judged, Part } from '../../../api/client';

const marks: Record<string, [mark: string, words: string, color: string]> = {
  passes: ['✓', 'passes', 'pine'],
  yes: ['✓', 'holds', 'pine'],
  refuses: ['✕', 'refuses', 'brick'],
  no: ['✕', 'does not hold', 'brick'],
  unknown: ['?', 'not known', 'amberText'],
};

const kinds: Record<string, string> = {
  grant: 'grant',
  'row-rule': 'row rule',
  record: 'record',
  guard: 'guard',
  shown: 'shown while',
  roles: 'for whom',
  while: 'while',
  case: 'case',
  target: 'target',
};

function Mark({ state }: { state: string }) {
  const [mark, words, color] = marks[state] ?? ['', '', 'muted'];
  return (
    <Box as="span" role="img" aria-label={words} color={color} fontWeight="800" w="16px" flexShrink={0}>
      {mark}
    </Box>
  );
}

/** One thing that was judged, with the parts of its condition. */
export function JudgedLine({ judged }: { judged: Judged }) {
  return (
    <Box py="1px">
      <Flex gap="8px" align="baseline">
        <Mark state={judged.state} />
        <Box w="84px" flexShrink={0} color="muted">
          {kinds[judged.what] ?? judged.what}
        </Box>
        <Box>{judged.words}</Box>
      </Flex>
      {judged.part && <PartLine part={judged.part} depth={0} />}
    </Box>
  );
}

function PartLine({ part, depth }: { part: Part; depth: number }) {
  return (
    <>
      <Flex gap="8px" pl={`${108 + depth * 18}px`} align="baseline">
        <Mark state={part.state} />
        <Box borderBottomWidth={part.decides ? '2px' : '0'} borderColor="amber">
          {part.words}
        </Box>
        {part.value !== undefined && (
          <Box color="plum" whiteSpace="nowrap">
            now {part.value === '' ? 'empty' : part.value}
          </Box>
        )}
        {part.why && <Box color="muted">{part.why}</Box>}
      </Flex>
      {part.parts?.map((p, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: parts have no other identity than their order
        <PartLine key={i} part={p} depth={depth + 1} />
      ))}
    </>
  );
}
