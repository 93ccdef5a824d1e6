import { useEffect } from 'react';
import { useSteady } from '../ui/useSteady';

export type Side = 'left' | 'right' | 'up' | 'down';

const least = 60; // px that a finger goes

/** A finger drawn over the page, by where it went. */
export function useSwipe(onSwipe: (side: Side) => void) {
  const swiped = useSteady(onSwipe);
  useEffect(() => {
    let from: { x: number; y: number } | undefined;
    const down = (e: PointerEvent) => {
      from = e.pointerType === 'mouse' || scrolls(e.target) ? undefined : { x: e.clientX, y: e.clientY };
    };
    const up = (e: PointerEvent) => {
      if (!from) return;
      const [x, y] = [e.clientX - from.x, e.clientY - from.y];
      from = undefined;
      if (Math.max(Math.abs(x), Math.abs(y)) < least) return;
      swiped(Math.abs(x) > Math.abs(y) ? (x < 0 ? 'left' : 'right') : y < 0 ? 'up' : 'down');
    };
    const cancel = () => {
      from = undefined;
    };
    document.addEventListener('pointerdown', down);
    document.addEventListener('pointerup', up);
    document.addEventListener('pointercancel', cancel);
    return () => {
      document.removeEventListener('pointerdown', down);
      document.removeEventListener('pointerup', up);
      document.removeEventListener('pointercancel', cancel);
    };
  }, [swiped]);
}

/** A finger on something that scrolls sideways, or is typed into, does not swipe. */
function scrolls(target: EventTarget | null): boolean {
  for (let el = target instanceof Element ? target : null; el; el = el.parentElement) {
    if (el.matches('input, textarea, select')) return true;
    if (el.scrollWidth > el.clientWidth + 4 && getComputedStyle(el).overflowX !== 'visible' && el !== document.body)
      return el !== document.documentElement;
  }
  return false;
}
