import { useEffect } from 'react';
import type { Shown } from '../api/client';
import type { Trail } from '../trail/Trail';
import { useSteady } from '../ui/useSteady';
import { Idle } from './Idle';
import type { Unsaved } from './useUnsaved';

/** Where a screen is one of a round, the next follows when nobody has touched it for as long as it stays. */
export function useRound(trail: Trail, shown: Shown, unsaved: Unsaved) {
  const stay = shown.round?.stay;
  const place = `${shown.trail}.${shown.n}`;
  const busy = useSteady(() => unsaved.dirty() || trail.asking);
  const onRest = useSteady(() => void trail.go('round'));
  // biome-ignore lint/correctness/useExhaustiveDependencies: it stays anew at each arrival
  useEffect(() => {
    if (stay === undefined) return;
    return new Idle(stay, 0, { onLeft: () => undefined, onRest, busy }).start(document);
  }, [stay, place, onRest, busy]);
}
