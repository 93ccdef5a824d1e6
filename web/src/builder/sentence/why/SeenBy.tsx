import { Box, Flex } from '@chakra-ui/react';
import type { Explanation } from '../../../api/client';

const seen: Record<string, [mark: string, color: string]> = {
  open: ['✓', 'pine'],
  greyed: ['–', 'amberText'],
  hidden: ['✕', 'brick'],
  refused: ['✕', 'brick'],
  shut: ['✕', 'brick'],
};

const seenWords: Record<string, string> = {
  open: 'open',
  greyed: 'greyed',
  hidden: 'hidden',
  refused: 'refused there',
  shut: 'not on this screen',
};

/** What the way is for each role alone. */
export function SeenBy({ of }: { of: Explanation }) {
  return (
    <Flex wrap="wrap" gap="3px 14px" as="ul" listStyleType="none">
      {of.roles.map((r) => {
        const [mark, color] = seen[r.state] ?? ['', 'muted'];
        return (
          <Box as="li" key={r.role} title={r.reason} whiteSpace="nowrap">
            <Box as="span" color={color} fontWeight="800" aria-hidden="true">
              {mark}
            </Box>{' '}
            <b>{r.name}</b> {seenWords[r.state] ?? r.state}
          </Box>
        );
      })}
    </Flex>
  );
}
