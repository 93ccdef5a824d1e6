import { useEffect, useState } from 'react';
import type { Shown } from '../api/client';
import { stale } from '../screen/kinds/all';
import { Live, type LiveHands } from '../trail/Live';
import { joinStream } from '../trail/shared';
import { depthOf, mapped, merged } from '../trail/shown';
import type { Trail } from '../trail/Trail';

const reason = 'the server does not answer';

type Called = Pick<LiveHands, 'onCallUp' | 'onCallUps'>;

/**
 * Puts live values into the shown screen as they come, anew after each answer that it was made of; says whether nothing
 * comes in any more.
 */
export function useLive(project: string, trail: Trail, shown: Shown | undefined, answers: number, called: Called) {
  const { live = false, trail: id = '', n = 0 } = shown ?? {};
  const [lost, setLost] = useState(false);
  const depth = shown ? depthOf(shown) : 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: an answer may have put older values over what came live
  useEffect(() => {
    if (!live) return;
    const here = (s: Shown, of: number) => s.trail === id && s.n === of;
    return new Live(() => joinStream(`/api/use/${project}/events`, `${id}.${n}.${depth}`), {
      onEvent: (e) => trail.change((s) => (here(s, e.n) ? merged(s, depth, e.elements, e.gone) : s)),
      onLost: () => {
        setLost(true);
        trail.change((s) => mapped(s, (e) => stale(e, reason)));
      },
      onBack: () => setLost(false),
      reload: () => void trail.refresh(),
      onCallUp: called.onCallUp,
      onCallUps: called.onCallUps,
    }).start();
  }, [live, id, n, depth, answers, project, trail, called.onCallUp, called.onCallUps]);
  return lost;
}
