import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import type { Shown } from '../../api/client';
import { CallUps } from '../../trail/CallUps';
import { calls } from '../../trail/calls';
import type { Trail } from '../../trail/Trail';
import { useSteady } from '../../ui/useSteady';

const inertFor = 500; // ms

/** What the plant calls up in this tab, and what last did. */
export function useCallUps(project: string, trail: Trail) {
  const client = useQueryClient();
  const ups = useMemo(
    () =>
      new CallUps({
        hidden: () => document.visibilityState === 'hidden',
        asking: () => trail.asking,
        settle: trail.settled,
        call: (occurrence) => {
          const at = placeOf(trail.state.shown);
          return calls(project, { ...at, depth: 0 }).callUp(occurrence);
        },
        show: trail.show,
        arrived: () => inert(document.getElementById('root')),
        fail: trail.fail,
      }),
    [project, trail],
  );
  useEffect(() => ups.stop, [ups]);
  const onCallUps = useSteady(() => void client.invalidateQueries({ queryKey: ['callups', project] }));
  return { ...useSyncExternalStore(ups.subscribe, ups.snapshot), seen: ups.seen, onCallUp: ups.come, onCallUps };
}

const placeOf = (shown: Shown | undefined) => ({ trail: shown?.trail ?? '', n: shown?.n ?? 0 });

/** Nothing is pressed that was not there a moment ago. */
function inert(page: HTMLElement | null) {
  if (!page) return;
  page.inert = true;
  setTimeout(() => {
    page.inert = false;
    page.querySelector<HTMLElement>('main h1')?.focus({ preventScroll: true });
  }, inertFor);
}
