import { useEffect, useRef } from 'react';
import { Hold } from '../../trail/Hold';
import { pressId } from '../../trail/Press';
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
    if (!held.current) held.current = onPress(element, { trigger: 'down' });
  };
  const hands = useDownAndUp(goDown, letGo);
  return down || held.current ? hands : undefined;
}

/** A button that acts as long as it is held, however holding it ends. On the builder's stage it is only tried. */
export function useLease(element: { id: string }, held: boolean | undefined) {
  const { work, onPress } = useScreen();
  const hold = useRef<Hold>(undefined);
  const goDown = useSteady(() => {
    if (!work) return void onPress(element);
    hold.current ??= new Hold(work.holding(element), pressId);
    hold.current.down();
  });
  const letGo = useSteady(() => hold.current?.up());
  useEffect(() => letGo, [letGo]); // its screen is left
  const hands = useDownAndUp(goDown, letGo);
  return held ? hands : undefined;
}

const lets = ['pointerup', 'pointercancel', 'keyup', 'blur'] as const;

/**
 * Told when an element is pressed down, by pointer or key, and when it is let go: wherever that happens, and when the
 * window is left. It is listened to at the window, since the element may be drawn anew meanwhile.
 */
function useDownAndUp(onDown: () => void, onUp: () => void) {
  const letGo = useSteady((e?: Event) => {
    if (e instanceof KeyboardEvent && !presses(e)) return;
    if (e?.type === 'blur' && e.target !== window) return; // the focus went from somewhere else to here
    for (const name of lets) window.removeEventListener(name, letGo, true);
    document.removeEventListener('visibilitychange', letGo);
    onUp();
  });
  const goDown = () => {
    onDown();
    for (const name of lets) window.addEventListener(name, letGo, true);
    document.addEventListener('visibilitychange', letGo);
  };
  return {
    onPointerDown: (e: React.PointerEvent) => {
      if (e.button !== 0) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      goDown();
    },
    onLostPointerCapture: () => letGo(),
    onBlur: () => letGo(),
    onKeyDown: (e: React.KeyboardEvent) => {
      if (!presses(e)) return;
      e.preventDefault();
      if (!e.repeat) goDown();
    },
  };
}

const presses = (e: { key: string }) => e.key === ' ' || e.key === 'Enter';
