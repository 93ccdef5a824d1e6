import type { Cell, Element } from '../../document/document.gen';

/** An element as far as its place is concerned. */
export type Placed = Pick<Element, 'cell' | 'modes' | 'tab'> & { id: string };

/** Where something is put: into a cell, or between two rows. */
export interface Goal {
  cell: Cell;
  /** What stands in this row and below goes down by one. */
  between?: boolean;
}

export const columns = 12;
const most = 500; // rows

const height = (c: Cell, tall: boolean) => (tall ? Math.max(1, c.h ?? 1) : 1);

function covers(a: Cell, b: Cell, tall: boolean): boolean {
  const [ah, bh] = [height(a, tall), height(b, tall)];
  return a.col < b.col + b.w && b.col < a.col + a.w && a.row < b.row + bh && b.row < a.row + ah;
}

/** Whether two elements are never there at once: in other modes of a form, or in other tabs. */
function apart(a: Placed, b: Placed): boolean {
  if (a.tab && b.tab && a.tab !== b.tab) return true;
  const { modes } = b;
  return !!a.modes && !!modes && !Object.keys(a.modes).some((m) => a.modes?.[m] && modes[m]);
}

/**
 * The cells that change when an element is put somewhere: its own, and those of elements that make room for it by going
 * down. What stood on another already may stay there. Only operator screens have rows of one height (tall).
 */
export function arranged(all: Placed[], id: string, goal: Goal, tall: boolean): Map<string, Cell> {
  const before = new Map(all.map((e) => [e.id, e.cell]));
  const now = new Map(before);
  if (goal.between)
    for (const e of all)
      if (e.id !== id && e.cell.row >= goal.cell.row) now.set(e.id, { ...e.cell, row: e.cell.row + 1 });
  now.set(id, goal.cell);
  const byId = new Map(all.map((e) => [e.id, e]));
  const together = (a: string, b: string) => {
    const [x, y, was, had] = [byId.get(a), byId.get(b), before.get(a), before.get(b)];
    return !!x && !!y && !apart(x, y) && !(a !== id && b !== id && was && had && covers(was, had, tall));
  };
  const settled = [id];
  const rest = all.filter((e) => e.id !== id).map((e) => e.id);
  rest.sort((a, b) => (now.get(a)?.row ?? 0) - (now.get(b)?.row ?? 0));
  for (const other of rest) {
    let at = now.get(other);
    for (let again = true; at && again && at.row < most; ) {
      const here = at;
      const over = settled.find((s) => together(s, other) && covers(now.get(s) ?? here, here, tall));
      const below = over && now.get(over);
      again = !!below;
      if (below) at = { ...here, row: below.row + height(below, tall) };
    }
    if (at) now.set(other, at);
    settled.push(other);
  }
  return new Map([...now].filter(([e, c]) => JSON.stringify(c) !== JSON.stringify(before.get(e))));
}

/** A cell that is moved or widened by some columns and rows, within the grid. */
export function stepped(c: Cell, by: { col?: number; row?: number; w?: number; h?: number }): Cell {
  const w = Math.max(1, Math.min(c.w + (by.w ?? 0), columns + 1 - c.col));
  const h = by.h === undefined ? c.h : Math.max(1, Math.min((c.h ?? 1) + by.h, 40));
  return {
    ...c,
    col: Math.max(1, Math.min(c.col + (by.col ?? 0), columns + 1 - w)),
    row: Math.max(1, c.row + (by.row ?? 0)),
    w,
    ...(h === undefined ? {} : { h }),
  };
}

/** A row of the grid as it is drawn, in pixels. */
export interface Band {
  row: number;
  top: number;
  bottom: number;
}

const edge = 5; // px above a row that mean “before it”

/** The row that a height on the screen means: in one, before one, or below all. */
export function rowAt(bands: Band[], y: number): { row: number; between?: boolean } {
  for (const b of bands) {
    if (y < b.top + edge) return { row: b.row, between: true };
    if (y <= b.bottom) return { row: b.row };
  }
  return { row: (bands.at(-1)?.row ?? 0) + 1 };
}
