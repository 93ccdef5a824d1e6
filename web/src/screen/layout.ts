import type { ElementView, View } from '../api/client';

/** The rows that hold something, in order: empty ones between take no room. */
export function usedRows(view: View): number[] {
  return [...new Set(view.elements.map((e) => e.cell.row))].sort((a, b) => a - b);
}

interface Panel {
  row: number;
  col: number;
  w: number;
  h: number;
  elements: ElementView[];
}

/** Elements in the same columns, one below the other, make a panel. */
export function panelsOf(view: View): Panel[] {
  const panels: Panel[] = [];
  for (const e of [...view.elements].sort((a, b) => a.cell.row - b.cell.row || a.cell.col - b.cell.col)) {
    const h = Math.max(1, e.cell.h ?? 1);
    const over = panels.find((p) => p.col === e.cell.col && p.w === e.cell.w && p.row + p.h === e.cell.row);
    if (over) {
      over.elements.push(e);
      over.h += h;
    } else panels.push({ row: e.cell.row, col: e.cell.col, w: e.cell.w, h, elements: [e] });
  }
  return panels;
}

/** Rows of more than two buttons above a list, each with what of it folds where a screen is narrow: all but the first. */
export function foldedRows(view: View): Map<number, string[]> {
  const lists = view.elements.filter((e) => e.kind === 'list').map((e) => e.cell.row);
  const folds = new Map<number, string[]>();
  for (const row of usedRows(view)) {
    const here = view.elements.filter((e) => e.cell.row === row).sort((a, b) => a.cell.col - b.cell.col);
    const buttons = here.length > 2 && here.every((e) => e.kind === 'button');
    if (buttons && lists.some((list) => list > row))
      folds.set(
        row,
        here.slice(1).map((e) => e.id),
      );
  }
  return folds;
}
