import { useEffect } from 'react';
import type { Along } from '../../trail/Trail';

const keys: Record<string, Along> = { ArrowLeft: 'back', ArrowRight: 'forward', ArrowUp: 'up', Home: 'home' };

/** Alt and an arrow go along the trail; Alt and Home go to the start. */
export function useTrailKeys(go: (to: Along) => void) {
  useEffect(() => {
    const down = (e: KeyboardEvent) => {
      const to = keys[e.key];
      if (!to || !e.altKey || e.ctrlKey || e.metaKey || e.shiftKey || e.defaultPrevented) return;
      e.preventDefault();
      go(to);
    };
    document.addEventListener('keydown', down);
    return () => document.removeEventListener('keydown', down);
  }, [go]);
}
