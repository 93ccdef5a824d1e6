import type { Edges } from '../../ui/beside';
import { useGesture } from './useGesture';

interface Point {
  x: number;
  y: number;
}

/** Where a frame lies that is drawn from one point to another. */
export function frameOf(from: Point, to: Point): Edges {
  return {
    left: Math.min(from.x, to.x),
    right: Math.max(from.x, to.x),
    top: Math.min(from.y, to.y),
    bottom: Math.max(from.y, to.y),
  };
}

/** Whether two boxes have anything in common. */
export function touches(a: Edges, b: Edges): boolean {
  return a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;
}

const pressed = '[data-element], input, textarea, select, a, button:not(.sheet-gap)';

/** Chooses elements of the stage by a frame that is drawn over them from where nothing stands. */
export function useChoosingFrame(onChosen: (ids: string[]) => void): Edges | undefined {
  return useGesture<Point, Edges>({
    begin: (e, on) =>
      on.closest('[data-stage] .sheet') && !on.closest(pressed) ? { x: e.clientX, y: e.clientY } : undefined,
    moved: (from, e) => frameOf(from, { x: e.clientX, y: e.clientY }),
    done: (frame) => {
      const all = [...document.querySelectorAll<HTMLElement>('[data-stage] [data-sheet] [data-element]')];
      onChosen(all.filter((e) => touches(frame, e.getBoundingClientRect())).map((e) => e.dataset.element ?? ''));
    },
  });
}
