import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** What a point of a chart says above it while it is pointed at, or has the focus; its button is of the class group. */
export function PointWords({ children }: { children: ReactNode }) {
  return (
    <Box
      position="absolute"
      bottom="100%"
      left="50%"
      transform="translateX(-50%)"
      visibility="hidden"
      _groupHover={{ visibility: 'visible' }}
      _groupFocusVisible={{ visibility: 'visible' }}
      bg="rail"
      color="white"
      px="10px"
      py="5px"
      borderRadius="4px"
      fontSize="note"
      whiteSpace="nowrap"
      zIndex="tooltip"
      pointerEvents="none"
      aria-hidden
    >
      {children}
    </Box>
  );
}
