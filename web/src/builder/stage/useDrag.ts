import type { Cell } from '../../document/document.gen';
import type { Edges } from '../../ui/beside';
import { arranged, type Goal, type Placed, stepped } from './arrange';
import { columnWidth, drawnAt, droppedAt, measured, type Sheet } from './geometry';
import { useGesture } from './useGesture';

/** What would become of a drag if it ended now. */
export interface Drag {
  id: string;
  goal: Goal;
  changed: Map<string, Cell>;
  at: Edges;
}

interface Begun {
  id: string;
  edge: 'w' | 'h' | undefined; // which edge is dragged; the whole element, if none
  from: Cell;
  height: number;
  sheet: Sheet;
}

/**
 * Drags an element of the stage to another cell, or one of its edges. Others make room; nothing is changed before it is
 * let go, and Escape leaves all as it was.
 */
export function useDrag(elements: Placed[], tall: boolean, onDrop: (changed: Map<string, Cell>, id: string) => void) {
  return useGesture<Begun, Drag>({
    begin: (_, on) => {
      if (on.closest('[data-notch], [data-fixed], input, textarea, select')) return undefined;
      const frame = on.closest<HTMLElement>('[data-element]');
      const one = elements.find((p) => p.id === frame?.dataset.element);
      const sheet = frame && one && measured(frame);
      if (!frame || !one || !sheet) return undefined;
      const edge = on.closest<HTMLElement>('[data-edge]')?.dataset.edge;
      const { height } = (frame.closest('[data-frame]') ?? frame).getBoundingClientRect(); // of a group with all it holds
      return { id: one.id, edge: edge === 'w' || edge === 'h' ? edge : undefined, from: one.cell, height, sheet };
    },
    moved: (begun, e, by) => {
      const goal = goalOf(begun, by, e.clientY);
      const changed = arranged(elements, begun.id, goal, tall);
      return { id: begun.id, goal, changed, at: drawnAt(begun.sheet, goal.cell, goal.between, begun.height) };
    },
    same: (a, b) => JSON.stringify(a.goal) === JSON.stringify(b.goal),
    done: (drag) => drag.changed.size > 0 && onDrop(drag.changed, drag.id),
  });
}

function goalOf(b: Begun, by: { x: number; y: number }, pointer: number): Goal {
  if (b.edge === 'w') return { cell: stepped(b.from, { w: Math.round(by.x / columnWidth(b.sheet)) }) };
  if (b.edge === 'h') {
    const row = b.sheet.even || b.height / Math.max(1, b.from.h ?? 1);
    return { cell: stepped(b.from, { h: Math.round(by.y / row) }) };
  }
  return droppedAt(b.sheet, b.from, by, pointer);
}
