import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** What a part of an explanation tells. */
export function Head({ children }: { children: ReactNode }) {
  return (
    <Box color="muted" fontWeight="700" mb="3px">
      {children}
    </Box>
  );
}
