import { useRef } from 'react';

/** The value that was, as long as the new one is the same for who asks: what hangs on it alone is not drawn anew. */
export function useStill<T>(value: T, same: (was: T, now: T) => boolean): T {
  const kept = useRef(value);
  if (!same(kept.current, value)) kept.current = value;
  return kept.current;
}

/** Whether all parts of two objects are the same but for those named. */
export function sameBut<T extends object>(was: T, now: T, except: (keyof T)[]): boolean {
  if (was === now) return true;
  const parts = new Set([...Object.keys(was), ...Object.keys(now)]) as Set<keyof T>;
  return [...parts].every((part) => except.includes(part) || was[part] === now[part]);
}
