import { type RefObject, useEffect } from 'react';
import { useSteady } from './useSteady';

/** Calls back on a press outside of a box. */
export function useOutside(box: RefObject<HTMLElement | null>, onOutside: () => void) {
  const call = useSteady(onOutside);
  useEffect(() => {
    const press = (e: PointerEvent) => {
      if (e.target instanceof Node && !box.current?.contains(e.target)) call();
    };
    document.addEventListener('pointerdown', press);
    return () => document.removeEventListener('pointerdown', press);
  }, [box, call]);
}
