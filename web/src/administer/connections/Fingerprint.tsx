import { Box } from '@chakra-ui/react';

/** A fingerprint, which two people read to each other. */
export function Fingerprint({ children }: { children: string }) {
  return (
    <Box as="span" fontFamily="mono" fontSize="12px" wordBreak="break-word">
      {children}
    </Box>
  );
}
