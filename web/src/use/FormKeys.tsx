import { Box } from '@chakra-ui/react';
import { type ReactNode, useEffect, useRef } from 'react';
import type { ElementView } from '../api/client';
import { useScreen, useTyped, useView } from '../screen/context';

interface FormKeysProps {
  dirty: boolean;
  leave: (go: () => void) => void; // asks about what was typed before it goes
  children: ReactNode;
}

/** The keys of a form: Enter in a line and Ctrl+S save, Escape cancels; after a no the first wrong field has the focus. */
export function FormKeys({ dirty, leave, children }: FormKeysProps) {
  const { onPress } = useScreen();
  const view = useView();
  const { errors } = useTyped();
  const box = useRef<HTMLDivElement>(null);
  const editing = view.mode === 'edit' || view.mode === 'add';
  const saving = view.elements.find((e) => e.kind === 'button' && e.button.saves && e.state === 'shown');
  const cancelling = view.elements.find((e) => e.kind === 'button' && e.button.drops && e.state === 'shown');
  useEffect(() => {
    if (Object.keys(errors).length > 0) box.current?.querySelector<HTMLElement>('[aria-invalid=true]')?.focus();
  }, [errors]);
  const press = (e: React.KeyboardEvent, element: ElementView) => {
    e.preventDefault();
    e.stopPropagation();
    void onPress(element);
  };
  const onKeyDown = (e: React.KeyboardEvent) => {
    if (!editing || e.defaultPrevented) return;
    const line = e.target instanceof HTMLInputElement && e.target.type !== 'checkbox';
    const inDialog = box.current?.closest('[role=dialog]') !== null;
    if (saving && ((e.key === 's' && (e.ctrlKey || e.metaKey)) || (e.key === 'Enter' && line))) press(e, saving);
    else if (cancelling && e.key === 'Escape' && !inDialog) {
      if (!dirty) return press(e, cancelling);
      e.preventDefault();
      leave(() => void onPress(cancelling));
    }
  };
  return (
    <Box ref={box} onKeyDown={onKeyDown} h={view.type === 'operator' ? 'full' : undefined}>
      {children}
    </Box>
  );
}
