import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** The name of what is shown, and one line about it. */
export function ViewHead({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <Flex align="baseline" gap="12px" mb="10px" minH="30px">
      <Box as="h1" fontSize="head" fontWeight="800" whiteSpace="nowrap">
        {title}
      </Box>
      <Box fontSize="note" color="muted">
        {children}
      </Box>
    </Flex>
  );
}
