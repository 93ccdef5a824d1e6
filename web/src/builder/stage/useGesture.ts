import { useEffect, useState } from 'react';
import { noPress } from '../../ui/noPress';
import { useSteady } from '../../ui/useSteady';

const least = 6; // px before it is no press any more

/** What is done by pressing at one place, moving the pointer and letting it go. */
export interface Gesture<Begun, Now> {
  /** What begins where the pointer goes down; nothing where it is not meant. */
  begin: (e: PointerEvent, on: Element) => Begun | undefined;
  /** What would become of it if it ended here. */
  moved: (begun: Begun, e: PointerEvent, by: { x: number; y: number }) => Now;
  /** Whether two are the same, so that nothing need be drawn anew. */
  same?: (a: Now, b: Now) => boolean;
  done: (now: Now) => void;
}

/** Follows a gesture of the pointer, and gives what would become of it now. Escape leaves all as it was. */
export function useGesture<Begun, Now>(gesture: Gesture<Begun, Now>): Now | undefined {
  const [shown, setShown] = useState<Now>();
  const hands = useSteady(() => gesture);
  useEffect(() => {
    let begun: { what: Begun; x: number; y: number } | undefined;
    let now: Now | undefined;
    const show = (next: Now | undefined) => {
      const unchanged = now !== undefined && next !== undefined && hands().same?.(now, next);
      now = next;
      if (!unchanged) setShown(() => next);
    };
    const down = (e: PointerEvent) => {
      const what = e.button === 0 && e.target instanceof Element ? hands().begin(e, e.target) : undefined;
      if (what !== undefined) begun = { what, x: e.clientX, y: e.clientY };
    };
    const move = (e: PointerEvent) => {
      if (!begun) return;
      const by = { x: e.clientX - begun.x, y: e.clientY - begun.y };
      if (now === undefined && Math.hypot(by.x, by.y) < least) return;
      document.body.style.userSelect = 'none';
      show(hands().moved(begun.what, e, by));
    };
    const end = () => {
      begun = undefined;
      document.body.style.userSelect = '';
      show(undefined);
    };
    const up = () => {
      const done = now;
      end();
      if (done === undefined) return;
      noPress();
      hands().done(done);
    };
    const stop = (e: KeyboardEvent) => {
      if (e.key !== 'Escape' || now === undefined) return;
      e.stopPropagation();
      end();
    };
    document.addEventListener('pointerdown', down, true);
    document.addEventListener('pointermove', move);
    document.addEventListener('pointerup', up);
    document.addEventListener('pointercancel', end);
    document.addEventListener('keydown', stop, true);
    return () => {
      document.removeEventListener('pointerdown', down, true);
      document.removeEventListener('pointermove', move);
      document.removeEventListener('pointerup', up);
      document.removeEventListener('pointercancel', end);
      document.removeEventListener('keydown', stop, true);
    };
  }, [hands]);
  return shown;
}
