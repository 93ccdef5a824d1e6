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
