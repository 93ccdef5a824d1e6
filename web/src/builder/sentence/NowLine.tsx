import { Box, Flex } from '@chakra-ui/react';
import type { Part } from '../../api/client';
import { Key } from '../../ui/controls';
import { useBuild } from '../context';

/** What the way means right now, for the walked user and record. */
export function NowLine() {
  const { way } = useBuild();
  if (!way) return null;
  const states: Record<string, [string, string]> = {
    open: ['Open now', 'pine'],
    greyed: ['Greyed', 'amberText'],
    hidden: ['Hidden', 'brick'],
    unknown: ['Not judged', 'muted'],
  };
  const [label, color] = states[way.state] ?? ['', 'muted'];
  const part = way.verdict.part;
  const byCondition = !way.by || way.by === 'while' || way.by === 'unknown';
  const deciding = part && byCondition ? innermost(part) : undefined;
  return (
    <Flex
      align="baseline"
      gap="10px"
      fontSize="note"
      borderTopWidth="1px"
      borderTopStyle="dashed"
      borderColor="rule"
      pt="6px"
    >
      <Box fontWeight="800" color={color} whiteSpace="nowrap">
        {label}
      </Box>
      <Box flex="1" minW={0} truncate title={way.now} aria-live="polite">
        {way.now}
        {deciding && (
          <>
            {' '}
            Decided by{' '}
            <Box as="span" borderBottomWidth="2px" borderColor="amber">
              {deciding.words}
            </Box>
            .
          </>
        )}
      </Box>
      <Box color="muted" whiteSpace="nowrap">
        {way.state === 'open' && (
          <>
            try it <Key>Enter</Key> ·{' '}
          </>
        )}
         next chip <Key>Tab</Key> · undo <Key>Ctrl Z</Key>
      </Box>
    </Flex>
  );
}

/** The part that decides, deep inside. */
function innermost(p: Part): Part {
  const next = p.parts?.find((c) => c.decides);
  return next ? innermost(next) : p;
}
