import { Dialog, Portal } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Action } from '../ui/controls';

/** A screen as a dialog over another: it keeps the focus inside and closes with Escape. */
export function OverlayDialog({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <Dialog.Root
      open
      onOpenChange={(d) => !d.open && onClose()}
      size="xl"
      scrollBehavior="inside"
      closeOnInteractOutside={false}
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content bg="paper" color="ink" borderRadius="4px" maxW="1060px" aria-label={title}>
            <Dialog.Body p="0" pt="6px" fontSize="text">
              {children}
            </Dialog.Body>
            <Dialog.Footer>
              <Action onClick={onClose}>Close</Action>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
