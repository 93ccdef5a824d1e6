import type { Shown } from '../api/client';
import type { Press } from '../trail/Press';
import type { Trail } from '../trail/Trail';
import { useSteady } from '../ui/useSteady';

/** Shows what a call besides a press answers; a no is told like that of a press. */
export type Showing = (answer: () => Promise<Shown>) => Promise<Shown | undefined>;

export function useShowing(trail: Trail, press: Press): Showing {
  return useSteady(async (answer: () => Promise<Shown>) => {
    try {
      const next = await trail.insist(answer);
      trail.show(next);
      return next;
    } catch (e) {
      press.tell(e);
      return undefined;
    }
  });
}
