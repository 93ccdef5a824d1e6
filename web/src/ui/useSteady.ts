import { useCallback, useLayoutEffect, useRef } from 'react';

/**
 * A handler that stays the same while what it does is renewed at each drawing, so that whoever is given it
 * is not drawn anew. It is called by events and effects, never while drawing.
 */
export function useSteady<A extends unknown[], R>(handler: (...args: A) => R): (...args: A) => R {
  const latest = useRef(handler);
  useLayoutEffect(() => {
    latest.current = handler;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
