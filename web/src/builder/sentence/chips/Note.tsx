import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Pop } from '../../Pop';

/** Says why there is nothing to choose. */
export function Note({ onClose, children }: { onClose: () => void; children?: ReactNode }) {
  return (
    <Pop label="Note" onClose={onClose}>
      <Box p="12px" maxW="320px">
        {children ?? 'This part is changed as text.'}
      </Box>
    </Pop>
  );
}
