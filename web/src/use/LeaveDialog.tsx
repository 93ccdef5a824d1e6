import { Dialog, Portal } from '@chakra-ui/react';
import { Action } from '../ui/controls';

/** Asks what is to become of what was typed, before a screen is left by the browser or the strip. */
export function LeaveDialog({ onAnswer }: { onAnswer: (how: 'keep' | 'forget' | 'stay') => void }) {
  return (
    <Dialog.Root open onOpenChange={(d) => !d.open && onAnswer('stay')} placement="center" role="alertdialog">
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
                Not saved yet
              </Dialog.Title>
            </Dialog.Header>
            <Dialog.Body fontSize="text">
              What you typed is not saved. It can wait for you here: you find it again when you come back to this
              screen.
            </Dialog.Body>
            <Dialog.Footer justifyContent="flex-start" flexWrap="wrap">
              <Action tone="main" onClick={() => onAnswer('keep')}>
                Keep it for later
              </Action>
              <Action tone="bad" onClick={() => onAnswer('forget')}>
                Forget it
              </Action>
              <Action onClick={() => onAnswer('stay')}>Stay here</Action>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
