import { Box } from '@chakra-ui/react';
import { type ReactNode, useRef } from 'react';
import { useOutside } from './Picker';

/** A box that opens above a chip. */
export function Pop({ label, onClose, children }: { label: string; onClose: () => void; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  useOutside(box, onClose);
  return (
    <Box
      ref={box}
      role="dialog"
      aria-label={label}
      position="fixed"
      left="50%"
      transform="translateX(-50%)"
      bottom="150px"
      zIndex="popover"
      bg="plate"
      borderWidth="1px"
      borderColor="ink"
      borderRadius="4px"
      boxShadow="lg"
      fontSize="text"
      lineHeight="1.4"
      fontWeight="400"
      onKeyDown={(e: React.KeyboardEvent) => e.key === 'Escape' && onClose()}
    >
      {children}
    </Box>
  );
}
