import { useCallback, useEffect, useRef } from 'react';
import type { Shown } from '../../api/client';

/**
 * Where the focus is after one got somewhere: at the heading of a new screen. Who steps along
 * records with a button finds the focus on that button again; who narrows a list stays where they type.
 */
export function useArrival(shown: Shown) {
  const heading = useRef<HTMLHeadingElement>(null);
  const pressed = useRef<string>(undefined);
  const before = useRef<string>(undefined);
  const { screen, mode, record } = shown.view;
  const over = (shown.overlays?.length ?? 0) > 0; // a dialog keeps the focus for itself
  const here = `${shown.trail}.${screen}.${mode}.${record?.key ?? ''}`;
  useEffect(() => {
    const element = pressed.current;
    pressed.current = undefined;
    if (over || before.current === here) return;
    const stepped = before.current?.startsWith(`${shown.trail}.${screen}.${mode}.`);
    before.current = here;
    const again = stepped && element && document.querySelector<HTMLElement>(`[data-is="${element}"] :is(a, button)`);
    (again || heading.current)?.focus({ preventScroll: true });
  }, [here, over, shown.trail, screen, mode]);
  const onPressed = useCallback((element: string) => {
    pressed.current = element;
  }, []);
  return { heading, onPressed };
}
