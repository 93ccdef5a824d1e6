import { useRef } from 'react';
import { useSteady } from '../../ui/useSteady';
import { useScreen } from '../context';

/**
 * Going down and being let go as two ways of one button. What went down is always let go: wherever the finger is by
 * then, and when the window is left; after what it set off has been answered. A network or a browser can fail between the
 * two: what must not go on by itself is for the plant to end.
 */
export function useHold(element: { id: string }, down: boolean | undefined) {
  const { onPress } = useScreen();
  const held = useRef<Promise<unknown>>(undefined);
  const letGo = useSteady(() => {
    const before = held.current;
    held.current = undefined;
    void before?.then(() => onPress(element));
  });
  const goDown = () => {
    if (held.current) return;
    held.current = onPress(element, { trigger: 'down' });
    window.addEventListener('blur', letGo, { once: true });
  };
  const key = (e: React.KeyboardEvent) => e.key === ' ' || e.key === 'Enter';
  if (!down && !held.current) return undefined;
  return {
    onPointerDown: (e: React.PointerEvent) => {
      if (e.button !== 0) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      goDown();
    },
    onPointerUp: letGo,
    onPointerCancel: letGo,
    onLostPointerCapture: letGo,
    onBlur: letGo,
    onKeyDown: (e: React.KeyboardEvent) => {
      if (!key(e)) return;
      e.preventDefault();
      if (!e.repeat) goDown();
    },
    onKeyUp: (e: React.KeyboardEvent) => {
      if (key(e)) letGo();
    },
  };
}
