import type { Cell, Document, Element, Gate, Rail } from '../../document/document.gen';
import { newId, type Op, put } from '../../document/edit';
import { type Kept, posBehind } from '../../document/parts';
import { railsOf } from '../../document/project';
import { lookParts } from '../sentence/clipboard';
import { columns } from './arrange';

type Cells = Map<string, Cell>;

const like = (all: Kept<Element>[], cell: (e: Kept<Element>) => Cell): Cells =>
  new Map(all.map((e) => [e.id, cell(e)]));

/** All as wide as the one that was chosen last, within the grid. */
export function sameWidth(all: Kept<Element>[], as: Element): Cells {
  return like(all, (e) => ({ ...e.cell, w: Math.min(as.cell.w, columns + 1 - e.cell.col) }));
}

/** All as tall. */
export function sameHeight(all: Kept<Element>[], as: Element): Cells {
  return like(all, (e) => ({ ...e.cell, h: as.cell.h ?? 1 }));
}

/** All begin in the same column. */
export function inColumn(all: Kept<Element>[], as: Element): Cells {
  return like(all, (e) => ({ ...e.cell, col: Math.min(as.cell.col, columns + 1 - e.cell.w) }));
}

/** All in one row, side by side and equally wide, between the outermost edges; over the whole width if they were not side by side. */
export function inRow(all: Kept<Element>[], as: Element): Cells {
  const order = [...all].sort((a, b) => a.cell.col - b.cell.col || a.cell.row - b.cell.row);
  const beside = new Set(order.map((e) => e.cell.row)).size === 1;
  const from = beside ? Math.min(...order.map((e) => e.cell.col)) : 1;
  const to = beside ? Math.max(...order.map((e) => e.cell.col + e.cell.w)) : columns + 1;
  const w = Math.max(1, Math.floor((to - from) / order.length));
  return new Map(order.map((e, i) => [e.id, { ...e.cell, row: as.cell.row, col: Math.min(from + i * w, columns), w }]));
}

/** The edit that makes all buttons look as the one that was chosen last; their words and ways stay. */
export function sameLook(d: Document, screen: string, all: Kept<Element>[], as: Kept<Element>): Op[] {
  if (as.kind !== 'button') return [];
  const others = all.filter((e) => e.kind === 'button' && e.id !== as.id);
  return others.flatMap((e) => lookParts.flatMap((part) => put(d, [screen, 'elements', e.id, part], as[part])));
}

/** The edit that wires all of several as what was copied is: those that can be pressed and lead where it leads. */
export function sameWiring(d: Document, screen: string, all: Kept<Element>[], gate: Gate): Op[] {
  return all.filter(isWired).flatMap((e) => put(d, [screen, 'elements', e.id, 'gate'], gate));
}

/** Whether an element is wired by being pressed. */
export const isWired = (e: Element) => ['button', 'image', 'total', 'symbol'].includes(e.kind);

/** The edit that takes elements out of a screen. */
export function takenOut(d: Document, screen: string, all: Kept<Element>[]): Op[] {
  return all.flatMap((e) => put(d, [screen, 'elements', e.id], undefined));
}

/** Whether an element can stand on a rail. */
export const fitsRail = (e: Element) => e.kind === 'button' || e.kind === 'text' || e.kind === 'image';

/** The edit that makes a rail of elements of a screen, at an edge of every screen; they leave the screen itself. */
export function toRail(
  d: Document,
  screen: string,
  all: Kept<Element>[],
  edge: Rail['edge'],
): { id: string; ops: Op[] } {
  const id = newId('ra');
  const order = all.filter(fitsRail).sort((a, b) => a.cell.row - b.cell.row || a.cell.col - b.cell.col);
  const elements = Object.fromEntries(
    order.map(({ id: own, tab: _, modes: __, ...e }, i) => [
      own,
      { ...e, pos: i + 1, cell: { row: i + 1, col: 1, w: 12 } },
    ]),
  );
  const body: Rail = { kind: 'rail', pos: posBehind(railsOf(d)), name: 'Strip', edge, placed: {}, elements };
  return { id, ops: [...takenOut(d, screen, order), { op: 'add', path: `/${id}`, value: body }] };
}
