import { Box, Flex } from '@chakra-ui/react';

/** One thing that was found by trying. */
export function Line({ ok, children }: { ok: boolean; children: React.ReactNode }) {
  return (
    <Flex as="li" gap="8px">
      <Box as="span" aria-hidden color={ok ? 'pine' : 'muted'} fontWeight="800" w="14px">
        {ok ? '✓' : '–'}
      </Box>
      <span>{children}</span>
    </Flex>
  );
}
