import { useEffect, useMemo } from 'react';
import type { ElementView, View } from '../api/client';
import type { Calls } from '../trail/calls';
import { Looks } from '../trail/Looks';

/** How the lists of a place are left; a new place, which has calls of its own, begins with its own looks. */
export function useLooks(call: Calls, view: View, onElements: (changed: ElementView[]) => void) {
  // biome-ignore lint/correctness/useExhaustiveDependencies: the looks that a place begins with are read once
  const looks = useMemo(() => new Looks(view.place.look ?? {}, call.keepLooks, onElements), [call]);
  useEffect(() => {
    looks.begin();
    const leave = () => void looks.flush(true);
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      looks.end();
    };
  }, [looks]);
  return looks;
}
