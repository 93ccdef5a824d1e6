import type { ElementView, View } from '../api/client';

/** Empty cells beside each other in one row of the grid. */
export interface Gap {
  row: number;
  line: number; // of the grid: empty rows take none
  col: number;
  w: number;
  quiet: boolean; // told only where a pointer or the keyboard is
}

const columns = 12;
const least = 2; // columns that are worth being told

/** The gaps of a screen: beside buttons and below everything plainly, elsewhere quietly. */
export function gapsOf(view: View, rows: number[]): Gap[] {
  const last = Math.max(0, ...view.elements.map((e) => e.cell.row + Math.max(1, e.cell.h ?? 1) - 1));
  const below = { row: last + 1, line: rows.length + 1, col: 1, w: 3, quiet: false };
  return [...rows.flatMap((row, i) => gapsIn(view, row, i + 1)), below];
}

function gapsIn(view: View, row: number, line: number): Gap[] {
  const tall = (e: ElementView) => view.type === 'operator' && (e.cell.h ?? 1) > 1;
  const frames = view.elements.filter(
    (e) => e.kind === 'group' && e.cell.row < row && row < e.cell.row + (e.cell.h ?? 1),
  );
  const edges = new Set(frames.flatMap((f) => [f.cell.col, f.cell.col + f.cell.w]));
  const takes = (e: ElementView) => (tall(e) && e.kind !== 'group' ? (e.cell.h ?? 1) : 1);
  const here = view.elements.filter((e) => e.cell.row <= row && row < e.cell.row + takes(e));
  const taken = new Set(here.flatMap((e) => Array.from({ length: e.cell.w }, (_, k) => e.cell.col + k)));
  const buttons = here.some((e) => e.kind === 'button') && !here.some((e) => (e.cell.h ?? 1) > 1);
  const end = taken.size > 0 ? Math.max(...taken) + 1 : 1;
  const gaps: Gap[] = [];
  for (let col = 1; col <= columns; col++) {
    if (taken.has(col)) continue;
    let w = 1;
    while (col + w <= columns && !taken.has(col + w) && !edges.has(col + w)) w++; // a gap ends where a frame does
    const loud = buttons && col === end;
    if (w >= least) gaps.push({ row, line, col, w: loud ? Math.min(least, w) : w, quiet: !loud });
    col += w - 1;
  }
  return gaps;
}

/** The open tab that what is put into a row belongs to: that of the nearest tabs above it. */
export function tabAt(view: View, row: number): string | undefined {
  const above = view.elements.flatMap((e) => {
    if (e.cell.row >= row || (e.kind !== 'tabs' && e.kind !== 'steps')) return [];
    return [{ id: e.id, row: e.cell.row, open: e.kind === 'tabs' ? e.tabs.open : e.steps.open }];
  });
  const nearest = above.sort((a, b) => b.row - a.row)[0];
  return nearest && `${nearest.id}.${nearest.open}`;
}
