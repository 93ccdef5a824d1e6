import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A field with its name above it. */
export function Labelled({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box>
      <Box color="muted" mb="2px">
        {label}
      </Box>
      {children}
    </Box>
  );
}
