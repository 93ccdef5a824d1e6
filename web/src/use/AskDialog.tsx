import { Dialog, Portal } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface AskProps {
  title: string;
  answers?: ReactNode; // buttons, the main one first
  onClose: () => void;
  children: ReactNode;
}

/** Asks before anything is done. Escape means no. */
export function AskDialog({ title, answers, onClose, children }: AskProps) {
  return (
    <Dialog.Root open onOpenChange={(d) => !d.open && onClose()} placement="center" role="alertdialog">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content
            bg="plate"
            color="ink"
            borderRadius="4px"
            maxW="520px"
            borderTopWidth="6px"
            borderColor="amber"
          >
            <Dialog.Header pb="4px">
              <Dialog.Title fontSize="head" fontWeight="800">
                {title}
              </Dialog.Title>
            </Dialog.Header>
            <Dialog.Body fontSize="text">{children}</Dialog.Body>
            {answers && (
              <Dialog.Footer justifyContent="flex-start" flexWrap="wrap">
                {answers}
              </Dialog.Footer>
            )}
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
