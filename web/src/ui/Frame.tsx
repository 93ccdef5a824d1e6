import { Dialog, Drawer, Portal } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface FrameProps {
  /** A dialog in the middle, one that asks before anything is done, or a drawer at the right. */
  as?: 'dialog' | 'question' | 'drawer';
  title: string;
  told?: boolean; // the title stands above what is inside; else what is inside says it
  width?: string;
  stays?: boolean; // a press outside does not close it
  foot?: ReactNode;
  onClose: () => void;
  children: ReactNode;
}

/** What lies over everything and keeps the focus inside; Escape closes it. */
export function Frame({ as = 'dialog', title, told, width = '520px', stays, foot, onClose, children }: FrameProps) {
  const open = {
    open: true,
    onOpenChange: (d: { open: boolean }) => !d.open && onClose(),
    closeOnInteractOutside: !stays,
  };
  if (as === 'drawer') {
    return (
      <Drawer.Root {...open}>
        <Portal>
          <Drawer.Backdrop />
          <Drawer.Positioner>
            <Drawer.Content aria-label={title}>
              <Drawer.Body>{children}</Drawer.Body>
              {foot && <Drawer.Footer>{foot}</Drawer.Footer>}
            </Drawer.Content>
          </Drawer.Positioner>
        </Portal>
      </Drawer.Root>
    );
  }
  return (
    <Dialog.Root
      {...open}
      scrollBehavior="inside"
      placement={told ? 'center' : 'top'}
      role={as === 'question' ? 'alertdialog' : 'dialog'}
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content maxW={width} data-told={told || undefined} aria-label={told ? undefined : title}>
            {told && (
              <Dialog.Header>
                <Dialog.Title>{title}</Dialog.Title>
              </Dialog.Header>
            )}
            <Dialog.Body>{children}</Dialog.Body>
            {foot && <Dialog.Footer>{foot}</Dialog.Footer>}
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
