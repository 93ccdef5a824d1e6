import { useEffect, useSyncExternalStore } from 'react';

/**
 * On an unattended display no way leads out of its page: no menu of the browser, no other tab. Gives how much larger it
 * is drawn than on a desk, as it is read from some steps away.
 */
export function useDisplay(on: boolean) {
  useEffect(() => {
    if (!on) return;
    const not = (e: Event) => e.preventDefault();
    const elsewhere = (e: MouseEvent) => {
      if (e.ctrlKey || e.metaKey || e.shiftKey || e.button === 1) {
        e.preventDefault();
        e.stopPropagation();
      }
    };
    const within = { capture: true };
    document.addEventListener('contextmenu', not);
    document.addEventListener('dragstart', not);
    document.addEventListener('auxclick', elsewhere, within);
    document.addEventListener('click', elsewhere, within);
    return () => {
      document.removeEventListener('contextmenu', not);
      document.removeEventListener('dragstart', not);
      document.removeEventListener('auxclick', elsewhere, within);
      document.removeEventListener('click', elsewhere, within);
    };
  }, [on]);
  const zoom = useSyncExternalStore(resized, larger);
  return on ? zoom : 1;
}

const desk = { width: 1280, height: 720 }; // px

function resized(changed: () => void) {
  window.addEventListener('resize', changed);
  return () => window.removeEventListener('resize', changed);
}

/** As large as fits of what fits on a desk. */
function larger() {
  return Math.max(1, Math.min(window.innerWidth / desk.width, window.innerHeight / desk.height));
}
