import { Box, Flex } from '@chakra-ui/react';
import type { Part, WayOut } from '../api/client';
import { useBuild } from './context';

/** Why a way is open, greyed or hidden: each part with its value, and the part that decided. */
export function WhyTab({ way }: { way: WayOut }) {
  const { work } = useBuild();
  const part = way.verdict.part;
  return (
    <Flex gap="28px" fontSize="note">
      <Box flex="1">
        {part ? (
          <PartLine part={part} depth={0} />
        ) : (
          <Box color="muted">{way.by === 'roles' ? 'Decided by the role alone.' : 'It has no condition.'}</Box>
        )}
      </Box>
      <Box w="330px" color="muted">
        <Box mb="6px">{way.reason ? `${way.reason} (${way.by})` : 'Nothing closes it.'}</Box>
        <Box>
          This screen can be entered by <b>{work.entered}</b>. Gates protect what they do; a screen is protected by its
          guard and by grants.
        </Box>
      </Box>
    </Flex>
  );
}

const marks: Record<string, [string, string]> = {
  yes: ['holds', 'pine'],
  no: ['does not hold', 'brick'],
  unknown: ['not known', 'amberText'],
};

function PartLine({ part, depth }: { part: Part; depth: number }) {
  const [words, color] = marks[part.state] ?? ['', 'muted'];
  return (
    <>
      <Flex gap="10px" pl={`${depth * 18}px`} py="1px" align="baseline">
        <Box w="96px" flexShrink={0} color={color} fontWeight="700">
          {words}
        </Box>
        <Box borderBottomWidth={part.decides ? '2px' : '0'} borderColor="amber">
          {part.words}
        </Box>
        {part.value !== undefined && (
          <Box fontFamily="mono" color="plum">
            {part.value}
          </Box>
        )}
        {part.why && <Box color="muted">{part.why}</Box>}
      </Flex>
      {part.parts?.map((p) => (
        <PartLine key={p.words} part={p} depth={depth + 1} />
      ))}
    </>
  );
}
