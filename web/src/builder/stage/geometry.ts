import type { Cell } from '../../document/document.gen';
import type { Edges } from '../../ui/beside';
import { type Band, columns, rowAt } from './arrange';

/** A sheet of the stage as it is drawn, measured when a drag begins. */
export interface Sheet {
  box: Edges;
  bands: Band[]; // rows that hold something, from above
  even: number; // on operator screens the height of each row; 0 elsewhere
}

/** Measures the sheet that an element stands on; nothing where it stands on none. */
export function measured(element: Element): Sheet | undefined {
  const grid = element.closest<HTMLElement>('[data-sheet]');
  if (!grid) return undefined;
  const rows = Number(grid.dataset.sheet);
  const box = grid.getBoundingClientRect();
  const bands = new Map<number, Band>();
  for (const e of grid.querySelectorAll<HTMLElement>('[data-row]')) {
    const { top, bottom } = e.getBoundingClientRect();
    if (bottom === top) continue;
    const row = Number(e.dataset.row);
    const was = bands.get(row);
    bands.set(row, { row, top: Math.min(top, was?.top ?? top), bottom: Math.max(bottom, was?.bottom ?? bottom) });
  }
  return {
    box,
    bands: [...bands.values()].sort((a, b) => a.row - b.row),
    even: rows > 0 ? box.height / rows : 0,
  };
}

export const columnWidth = (s: Sheet) => (s.box.right - s.box.left) / columns;

/** Where an element goes that is dragged by so many pixels: its cell, and whether it goes between rows. */
export function droppedAt(s: Sheet, from: Cell, by: { x: number; y: number }, pointer: number) {
  const col = Math.max(1, Math.min(from.col + Math.round(by.x / columnWidth(s)), columns + 1 - from.w));
  if (s.even > 0) return { cell: { ...from, col, row: Math.max(1, from.row + Math.round(by.y / s.even)) } };
  const { row, between } = rowAt(s.bands, pointer);
  return { cell: { ...from, col, row }, between };
}

/** Where a cell is drawn, for a mark over it; a line where it goes between rows. */
export function drawnAt(s: Sheet, c: Cell, between: boolean | undefined, tall: number): Edges {
  const width = columnWidth(s);
  const left = s.box.left + (c.col - 1) * width;
  const right = left + c.w * width - 8;
  if (s.even > 0) {
    const top = s.box.top + (c.row - 1) * s.even;
    return { left, right, top, bottom: top + Math.max(1, c.h ?? 1) * s.even - 8 };
  }
  const band = s.bands.find((b) => b.row === c.row);
  if (band && between) return { left, right, top: band.top - 9, bottom: band.top - 5 };
  if (band) return { left, right, top: band.top, bottom: band.top + Math.min(tall, band.bottom - band.top) };
  const top = (s.bands.at(-1)?.bottom ?? s.box.top) + 10;
  return { left, right, top, bottom: top + tall };
}
