import { Box, chakra, Flex } from '@chakra-ui/react';
import type { Shown } from '../../api/client';
import type { Along } from '../../trail/Trail';
import { Glyph } from '../../ui/Glyph';

const Step = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    w: '64px',
    minH: '44px',
    cursor: 'pointer',
    color: 'muted',
    _hover: { color: 'ink' },
  },
});

/** Below a screen of a round: which of how many it is, and the ways to the next and the one before. */
export function RoundBar({ round, onGo }: { round: NonNullable<Shown['round']>; onGo: (to: Along) => void }) {
  return (
    <Flex
      as="nav"
      aria-label="Round"
      justify="center"
      align="center"
      gap="4px"
      flexShrink={0}
      position="sticky" // a screen may be taller than what is seen of it
      bottom="0"
      bg="paper"
      zIndex="docked"
    >
      <Step aria-label="The one before" onClick={() => onGo('round-back')}>
        <Glyph name="back" size={18} />
      </Step>
      <Box role="img" aria-label={`${round.at + 1} of ${round.of}`} display="flex" gap="9px">
        {Array.from({ length: round.of }, (_, i) => `stop ${i}`).map((key, i) => (
          <Box
            key={key}
            w="10px"
            h="10px"
            borderRadius="50%"
            borderWidth="2px"
            borderColor={i === round.at ? 'ink' : 'muted'}
            bg={i === round.at ? 'ink' : 'transparent'}
          />
        ))}
      </Box>
      <Step aria-label="The next" onClick={() => onGo('round')}>
        <Glyph name="forward" size={18} />
      </Step>
    </Flex>
  );
}
