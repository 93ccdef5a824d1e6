import { Dialog, Drawer, Portal } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Action } from '../ui/controls';

interface OverlayProps {
  as: string;
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** A screen as a dialog or drawer over another: it keeps the focus inside and closes with Escape. */
export function Overlay({ as, title, onClose, children }: OverlayProps) {
  const open = {
    open: true,
    onOpenChange: (d: { open: boolean }) => !d.open && onClose(),
    closeOnInteractOutside: false,
  };
  if (as === 'drawer') {
    return (
      <Drawer.Root {...open}>
        <Portal>
          <Drawer.Backdrop />
          <Drawer.Positioner>
            <Drawer.Content bg="paper" color="ink" aria-label={title} borderLeftWidth="6px" borderColor="amber">
              <Drawer.Body p="0" pt="6px" fontSize="text">
                {children}
              </Drawer.Body>
              <Drawer.Footer>
                <Action onClick={onClose}>Close</Action>
              </Drawer.Footer>
            </Drawer.Content>
          </Drawer.Positioner>
        </Portal>
      </Drawer.Root>
    );
  }
  return (
    <Dialog.Root {...open} scrollBehavior="inside">
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
