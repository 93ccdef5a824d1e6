import { useEffect, useState } from 'react';
import type { Cell } from '../../document/document.gen';
import type { Edges } from '../../ui/beside';
import { useSteady } from '../../ui/useSteady';
import { arranged, type Goal, type Placed, stepped } from './arrange';
import { columnWidth, drawnAt, droppedAt, measured, type Sheet } from './geometry';

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
  x: number;
  y: number;
  height: number;
  sheet: Sheet;
}

const least = 6; // px before it is no press any more

/**
 * Drags an element of the stage to another cell, or one of its edges. Others make room; nothing is changed before it is
 * let go, and Escape leaves all as it was.
 */
export function useDrag(elements: Placed[], tall: boolean, onDrop: (changed: Map<string, Cell>, id: string) => void) {
  const [drag, setDrag] = useState<Drag>();
  const placed = useSteady(() => elements);
  const drop = useSteady(onDrop);
  useEffect(() => {
    let begun: Begun | undefined;
    let now: Drag | undefined;
    const show = (next: Drag | undefined) => {
      const same = now && next && JSON.stringify(now.goal) === JSON.stringify(next.goal);
      now = next;
      if (!same) setDrag(next);
    };
    const down = (e: PointerEvent) => {
      if (e.button !== 0 || !(e.target instanceof Element) || e.target.closest('[data-notch], input, textarea, select'))
        return;
      const frame = e.target.closest<HTMLElement>('[data-element]');
      const one = placed().find((p) => p.id === frame?.dataset.element);
      const sheet = frame && one && measured(frame);
      if (!frame || !one || !sheet) return;
      const edge = e.target.closest<HTMLElement>('[data-edge]')?.dataset.edge;
      begun = {
        id: one.id,
        edge: edge === 'w' || edge === 'h' ? edge : undefined,
        from: one.cell,
        x: e.clientX,
        y: e.clientY,
        height: frame.getBoundingClientRect().height,
        sheet,
      };
    };
    const move = (e: PointerEvent) => {
      if (!begun) return;
      const by = { x: e.clientX - begun.x, y: e.clientY - begun.y };
      if (!now && Math.hypot(by.x, by.y) < least) return;
      document.body.style.userSelect = 'none';
      const goal = goalOf(begun, by, e.clientY);
      const changed = arranged(placed(), begun.id, goal, tall);
      show({ id: begun.id, goal, changed, at: drawnAt(begun.sheet, goal.cell, goal.between, begun.height) });
    };
    const end = () => {
      begun = undefined;
      document.body.style.userSelect = '';
      show(undefined);
    };
    const up = () => {
      const done = now;
      end();
      if (!done) return;
      // What was dragged was not pressed.
      const still = (e: MouseEvent) => {
        e.preventDefault();
        e.stopPropagation();
      };
      window.addEventListener('click', still, { capture: true, once: true });
      setTimeout(() => window.removeEventListener('click', still, { capture: true }), 50);
      if (done.changed.size > 0) drop(done.changed, done.id);
    };
    const stop = (e: KeyboardEvent) => {
      if (e.key !== 'Escape' || !now) return;
      e.stopPropagation();
      end();
    };
    document.addEventListener('pointerdown', down, true);
    document.addEventListener('pointermove', move);
    document.addEventListener('pointerup', up);
    document.addEventListener('pointercancel', end);
    document.addEventListener('keydown', stop, true);
    return () => {
      document.removeEventListener('pointerdown', down, true);
      document.removeEventListener('pointermove', move);
      document.removeEventListener('pointerup', up);
      document.removeEventListener('pointercancel', end);
      document.removeEventListener('keydown', stop, true);
    };
  }, [placed, drop, tall]);
  return drag;
}

function goalOf(b: Begun, by: { x: number; y: number }, pointer: number): Goal {
  if (b.edge === 'w') return { cell: stepped(b.from, { w: Math.round(by.x / columnWidth(b.sheet)) }) };
  if (b.edge === 'h') {
    const row = b.sheet.even || b.height / Math.max(1, b.from.h ?? 1);
    return { cell: stepped(b.from, { h: Math.round(by.y / row) }) };
  }
  return droppedAt(b.sheet, b.from, by, pointer);
}
