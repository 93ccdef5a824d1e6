import { useSyncExternalStore } from 'react';

const query = window.matchMedia('(min-width: 48rem)'); // the theme's md

/** Whether the window has room for things beside each other. */
export function useWide(): boolean {
  return useSyncExternalStore(watch, () => query.matches);
}

function watch(changed: () => void) {
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}
