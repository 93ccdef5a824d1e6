import type { ElementView, View } from '../api/client';

/** The rows that hold something, in order: empty ones between take no room. */
export function usedRows(view: View): number[] {
  return [...new Set(view.elements.map((e) => e.cell.row))].sort((a, b) => a - b);
}

/** An element in its place, with what stands in it where it is a frame. */
export interface Placed {
  element: ElementView;
  inside: Placed[];
}

/** Whether an element lies within a frame: below the row of its heading. */
export function holds(frame: ElementView, e: ElementView): boolean {
  const { cell: f } = frame;
  const rows = e.cell.row > f.row && e.cell.row < f.row + Math.max(1, f.h ?? 1);
  return frame.kind === 'group' && rows && e.cell.col >= f.col && e.cell.col + e.cell.w <= f.col + f.w;
}

/** Elements in the order in which they are read: by row and column, those of a frame after its heading. */
export function placedOf(view: View): Placed[] {
  const all = [...view.elements].sort((a, b) => a.cell.row - b.cell.row || a.cell.col - b.cell.col);
  const frames = all.filter((e) => e.kind === 'group');
  if (frames.length === 0) return all.map((element) => ({ element, inside: [] }));
  const narrowest = (e: ElementView) =>
    frames.filter((f) => f.id !== e.id && holds(f, e)).sort((a, b) => a.cell.w - b.cell.w || b.cell.row - a.cell.row)[0]
      ?.id;
  const around = new Map(all.map((e) => [e.id, narrowest(e)]));
  const within = (frame: string | undefined): Placed[] =>
    all
      .filter((e) => around.get(e.id) === frame)
      .map((element) => ({ element, inside: element.kind === 'group' ? within(element.id) : [] }));
  return within(undefined);
}

export interface Panel {
  row: number;
  col: number;
  w: number;
  h: number;
  elements: ElementView[];
}

/**
 * Elements in the same columns, one below the other, make a panel. It reaches down as far as one that begins beside it,
 * where nothing is in the way: panels of a row end together.
 */
export function panelsOf(view: View): Panel[] {
  const panels: Panel[] = [];
  const shown = view.elements.filter((e) => e.kind !== 'group');
  for (const e of shown.sort((a, b) => a.cell.row - b.cell.row || a.cell.col - b.cell.col)) {
    const h = Math.max(1, e.cell.h ?? 1);
    const over = panels.find((p) => p.col === e.cell.col && p.w === e.cell.w && p.row + p.h === e.cell.row);
    if (over) {
      over.elements.push(e);
      over.h += h;
    } else panels.push({ row: e.cell.row, col: e.cell.col, w: e.cell.w, h, elements: [e] });
  }
  const frames = view.elements.filter((e) => e.kind === 'group');
  const inside = (p: Panel) => frames.filter((f) => p.elements[0] && holds(f, p.elements[0])).map((f) => f.id);
  const end = (p: Panel) => p.row + p.h;
  return panels.map((p) => {
    const beside = panels.filter((o) => o.row === p.row && `${inside(o)}` === `${inside(p)}`);
    const under = [...panels.map((o) => o as Omit<Panel, 'elements'>), ...frames.map((f) => ({ h: 1, ...f.cell }))]
      .filter((o) => o.row >= end(p) && o.col < p.col + p.w && p.col < o.col + o.w)
      .map((o) => o.row);
    return { ...p, h: Math.min(Math.max(...beside.map(end)), ...under) - p.row };
  });
}

/** Whether two panels stand in the same place, and hold the same. */
export function samePanel(a: Panel, b: Panel): boolean {
  const places = a.row === b.row && a.col === b.col && a.w === b.w && a.h === b.h;
  return places && a.elements.length === b.elements.length && a.elements.every((e, i) => e === b.elements[i]);
}

/** What of a row is behind “more”, and below which width of the sheet. */
export interface Fold {
  below: 'narrow' | 'middle';
  ids: string[];
}

/**
 * Rows of which something is behind “more” where there is little room: what its buttons say, or, where nothing is said, all
 * but the first of more than two buttons above a list.
 */
export function foldedRows(view: View): Map<number, Fold> {
  const lists = view.elements.filter((e) => e.kind === 'list').map((e) => e.cell.row);
  const folds = new Map<number, Fold>();
  for (const row of usedRows(view)) {
    const here = view.elements
      .filter((e) => e.cell.row === row && !view.elements.some((f) => holds(f, e)))
      .sort((a, b) => a.cell.col - b.cell.col);
    const said = (e: ElementView) => (e.kind === 'button' ? e.button.fold : undefined);
    const own = here.filter((e) => said(e) === 'narrow' || said(e) === 'middle');
    const usual = here.length > 2 && here.every((e) => e.kind === 'button') && lists.some((list) => list > row);
    const folded = own.length > 0 ? own : usual ? here.slice(1).filter((e) => said(e) !== 'never') : [];
    if (folded.length === 0) continue;
    const below = own.some((e) => said(e) === 'middle') ? 'middle' : 'narrow'; // all of a row at one width
    folds.set(row, { below, ids: folded.map((e) => e.id) });
  }
  return folds;
}
