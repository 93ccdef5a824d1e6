import { type RefObject, useLayoutEffect, useState } from 'react';
import { type Beside, beside } from './beside';

/**
 * Places a box beside the positioned element that it stands in, over everything: whatever scrolls around it does not cut
 * it off. It follows when something scrolls or changes its size.
 */
export function useBeside(
  box: RefObject<HTMLElement | null>,
  { width, up, align }: { width: number; up?: boolean; align?: 'left' | 'right' },
): Beside | undefined {
  const [place, setPlace] = useState<Beside>();
  useLayoutEffect(() => {
    const follow = () => {
      const anchor = anchorOf(box.current);
      if (!anchor) return;
      const view = { width: window.innerWidth, height: window.innerHeight };
      const now = beside(anchor.getBoundingClientRect(), view, { width, up, align });
      setPlace((was) => (JSON.stringify(was) === JSON.stringify(now) ? was : now));
    };
    follow();
    const sizes = new ResizeObserver(follow);
    sizes.observe(document.body);
    const anchor = anchorOf(box.current);
    if (anchor) sizes.observe(anchor);
    document.addEventListener('scroll', follow, { capture: true, passive: true });
    return () => {
      sizes.disconnect();
      document.removeEventListener('scroll', follow, { capture: true });
    };
  }, [box, width, up, align]);
  return place;
}

function anchorOf(box: HTMLElement | null): HTMLElement | null {
  let at = box?.parentElement ?? null;
  while (at && getComputedStyle(at).position === 'static') at = at.parentElement;
  return at;
}
