import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface LabelledProps {
  label: string;
  wide?: boolean; // it is tall, and stands in a line of its own among others
  children: ReactNode;
}

/** A field with its name above it. */
export function Labelled({ label, wide, children }: LabelledProps) {
  return (
    <Box flexBasis={wide ? '100%' : undefined}>
      <Box color="muted" mb="2px">
        {label}
      </Box>
      {children}
    </Box>
  );
}
