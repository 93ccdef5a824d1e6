import { useEffect, useState } from 'react';
import type { WayOut } from '../../api/client';

export interface Pulled {
  element: string;
  trigger?: string; // from a chip: of which way, and of which of its cases
  of?: string;
  from: { x: number; y: number };
  to: { x: number; y: number };
}

const least = 8; // px that a wire is pulled before it counts

/** Pulls a wire from the notch under an element, or from the target in the sentence: onto a plate, or to the empty ground of the margin. */
export function usePull(
  ways: WayOut[],
  onTarget: (way: WayOut, screen: string, of?: string) => void,
  onGround: (way: WayOut, of?: string) => void,
): Pulled | undefined {
  const [pulled, setPulled] = useState<Pulled>();
  useEffect(() => {
    let now: Pulled | undefined;
    const down = (e: PointerEvent) => {
      if (!(e.target instanceof Element) || e.button !== 0) return;
      const at = { x: e.clientX, y: e.clientY };
      const chip = e.target.closest<HTMLElement>('[data-pull]')?.dataset;
      if (chip?.pull) {
        now = { element: chip.pull, trigger: chip.pullTrigger, of: chip.pullOf, from: at, to: at };
        return; // pressed without pulling it opens its picker
      }
      const element = e.target.closest('[data-notch]')?.closest('[data-element]')?.getAttribute('data-element');
      if (!element) return;
      e.preventDefault();
      now = { element, from: at, to: at };
    };
    const move = (e: PointerEvent) => {
      if (!now) return;
      now = { ...now, to: { x: e.clientX, y: e.clientY } };
      if (Math.hypot(now.to.x - now.from.x, now.to.y - now.from.y) > least) setPulled(now);
    };
    const up = (e: PointerEvent) => {
      const done = now;
      now = undefined;
      setPulled(undefined);
      if (!done || Math.hypot(done.to.x - done.from.x, done.to.y - done.from.y) <= least) return;
      const way = ways.find((w) => w.element === done.element && (!done.trigger || w.trigger === done.trigger));
      const under = document.elementFromPoint(e.clientX, e.clientY);
      const target = under?.closest('[data-target]')?.getAttribute('data-target');
      if (!way) return;
      if (target) onTarget(way, target, done.of);
      else if (under?.closest('[data-ground]')) onGround(way, done.of);
    };
    const stop = (e: KeyboardEvent) => {
      if (e.key !== 'Escape' || !now) return;
      now = undefined;
      setPulled(undefined);
    };
    document.addEventListener('pointerdown', down, true);
    document.addEventListener('pointermove', move);
    document.addEventListener('pointerup', up);
    document.addEventListener('keydown', stop, true);
    return () => {
      document.removeEventListener('pointerdown', down, true);
      document.removeEventListener('pointermove', move);
      document.removeEventListener('pointerup', up);
      document.removeEventListener('keydown', stop, true);
    };
  }, [ways, onTarget, onGround]);
  return pulled;
}
