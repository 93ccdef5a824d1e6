import { useEffect } from 'react';
import type { Shown } from '../../api/client';
import type { Trail } from '../../trail/Trail';
import { useSteady } from '../../ui/useSteady';
import type { Unsaved } from '../draft/useUnsaved';
import { useSwipe } from '../useSwipe';
import { Idle } from './Idle';

/** Where a screen is one of a round, the next follows when nobody has touched it for as long as it stays, or by a swipe that is no way there. */
export function useRound(trail: Trail, shown: Shown, unsaved: Unsaved) {
  const stay = shown.round?.stay;
  const place = `${shown.trail}.${shown.n}`;
  useSwipe((side) => {
    const own = shown.view.ways?.some((w) => w.trigger === 'swipe' && w.side === side);
    if (stay === undefined || own || trail.asking) return;
    if (side === 'left') void trail.go('round');
    if (side === 'right') void trail.go('round-back');
  });
  const busy = useSteady(() => unsaved.dirty() || trail.asking);
  const onRest = useSteady(() => void trail.go('round'));
  // biome-ignore lint/correctness/useExhaustiveDependencies: it stays anew at each arrival
  useEffect(() => {
    if (stay === undefined) return;
    return new Idle(stay, 0, { onLeft: () => undefined, onRest, busy }).start(document);
  }, [stay, place, onRest, busy]);
}
