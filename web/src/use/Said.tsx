import { Box } from '@chakra-ui/react';
import type { Said as Words } from '../trail/asking';

/** What a press came to, in a line at the foot of the window. */
export function Said({ said, onDismiss }: { said: Words; onDismiss: () => void }) {
  return (
    <Box
      role="status"
      position="fixed"
      bottom="18px"
      left="50%"
      transform="translateX(-50%)"
      maxW="90vw"
      px="16px"
      py="10px"
      bg={said.bad ? 'brick' : 'pine'}
      color="white"
      _dark={{ color: 'paper' }}
      fontWeight="600"
      borderRadius="4px"
      zIndex="toast"
    >
      {said.words}
      <Box as="button" aria-label="Dismiss" ml="12px" fontWeight="800" cursor="pointer" onClick={onDismiss}>
        ×
      </Box>
    </Box>
  );
}
