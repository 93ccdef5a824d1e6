import { Box } from '@chakra-ui/react';

/** What went wrong, where it happened. */
export function Told({ words }: { words: string | undefined }) {
  if (!words) return null;
  return (
    <Box color="brick" fontWeight="600" my="10px" role="alert">
      {words}
    </Box>
  );
}
