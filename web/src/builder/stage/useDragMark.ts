import type { Edges } from '../../ui/beside';
import { useGesture } from './useGesture';

/** Where a mark of a picture would be, in hundredths of the picture’s width and height. */
export interface MarkDrag {
  element: string;
  mark: string;
  x: number;
  y: number;
  at: Edges; // on the screen
}

interface Begun {
  element: string;
  mark: string;
  from: { x: number; y: number };
  box: DOMRect; // of the mark
  board: DOMRect; // of the picture
}

const within = (n: number) => Math.round(Math.min(100, Math.max(0, n)) * 10) / 10;

/** Where a mark comes to that is moved on a picture of some size; it stays on it. */
export function movedMark(
  from: { x: number; y: number },
  by: { x: number; y: number },
  of: { width: number; height: number },
) {
  return { x: within(from.x + (100 * by.x) / of.width), y: within(from.y + (100 * by.y) / of.height) };
}

/** Drags a fixed mark on its picture. Nothing is changed before it is let go, and Escape leaves it where it was. */
export function useDragMark(onDrop: (drag: MarkDrag) => void): MarkDrag | undefined {
  return useGesture<Begun, MarkDrag>({
    begin: (_, on) => {
      const drawn = on.closest<HTMLElement>('[data-stage] [data-fixed]');
      const board = drawn?.parentElement?.getBoundingClientRect();
      const element = drawn?.closest<HTMLElement>('[data-element]')?.dataset.element;
      const { fixed: mark, x, y } = drawn?.dataset ?? {};
      if (!drawn || !board || !element || !mark) return undefined;
      return { element, mark, from: { x: Number(x), y: Number(y) }, box: drawn.getBoundingClientRect(), board };
    },
    moved: ({ element, mark, from, box, board }, _, by) => {
      const to = movedMark(from, by, board);
      const dx = ((to.x - from.x) / 100) * board.width;
      const dy = ((to.y - from.y) / 100) * board.height;
      const at = { left: box.left + dx, right: box.right + dx, top: box.top + dy, bottom: box.bottom + dy };
      return { element, mark, ...to, at };
    },
    same: (a, b) => a.x === b.x && a.y === b.y,
    done: onDrop,
  });
}
