import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** The chosen right as a sentence, at the place where the Screen view has the chosen way. */
export function ChosenRight({ hint, children }: { hint: string; children: ReactNode }) {
  return (
    <Box
      as="section"
      aria-label="The chosen right"
      minH="104px"
      maxH="200px"
      overflowY="auto"
      bg="plate"
      borderTopWidth="1px"
      borderColor="rule"
      mx="-22px"
      mb="-14px"
      px="22px"
      py="12px"
      flexShrink={0}
    >
      {children || <Box color="muted">{hint}</Box>}
    </Box>
  );
}
