import type { Cell, Document, Element } from '../../document/document.gen';
import { newId, type Op, put } from '../../document/edit';
import { type Kept, posBehind } from '../../document/parts';
import { elementsOf } from '../../document/screens';
import { builtOf } from '../elements/all';
import { arranged, columns, type Placed } from './arrange';

/** What is made of several elements: the edit, and the id of what holds them now. */
interface Gathered {
  id: string;
  ops: Op[];
}

const rowsOf = (c: Cell) => Math.max(1, c.h ?? 1);
const end = (all: { cell: Cell }[]) => Math.max(1, ...all.map((e) => e.cell.row + rowsOf(e.cell)));
const byPlace = (a: { cell: Cell }, b: { cell: Cell }) => a.cell.row - b.cell.row || a.cell.col - b.cell.col;

/** The edit that puts a heading and a frame around elements, where the first of them stands; others make room. */
export function intoGroup(d: Document, screen: string, chosen: Kept<Element>[], tall: boolean): Gathered {
  const all = elementsOf(d, screen);
  const id = newId('e');
  const top = Math.min(...chosen.map((e) => e.cell.row));
  const col = Math.min(...chosen.map((e) => e.cell.col));
  const right = Math.max(...chosen.map((e) => e.cell.col + e.cell.w));
  const rows = [...new Set(chosen.map((e) => e.cell.row))].sort((a, b) => a - b);
  // Made where nothing stands, and then put in its place with what it holds.
  const far = end(all) + 1;
  const line = (c: Cell) => (tall ? c.row - top : rows.indexOf(c.row));
  const inside = new Map(chosen.map((e) => [e.id, { ...e.cell, row: far + 1 + line(e.cell) }]));
  const h = Math.max(...[...inside.values()].map((c) => c.row + (tall ? rowsOf(c) : 1))) - far;
  const frame: Placed = { id, kind: 'group', cell: { row: far, col, w: right - col, h } };
  const moved: Placed[] = all.map((e) => ({ ...e, cell: inside.get(e.id) ?? e.cell }));
  const cells = arranged([...moved, frame], id, { cell: { ...frame.cell, row: top } }, tall);
  const cell = cells.get(id) ?? frame.cell;
  const body: Element = { kind: 'group', pos: posBehind(all), cell, words: 'New group', ...shared(chosen) };
  const place = all.flatMap((e) => {
    const to = cells.get(e.id) ?? inside.get(e.id) ?? e.cell;
    return JSON.stringify(to) === JSON.stringify(e.cell) ? [] : put(d, [screen, 'elements', e.id, 'cell'], to);
  });
  return { id, ops: [...place, { op: 'add', path: `/${screen}/elements/${id}`, value: body }] };
}

/** The modes and the tab that all of them have, which what holds them then has too. */
function shared(chosen: Kept<Element>[]): Pick<Element, 'modes' | 'tab'> {
  const same = (name: 'modes' | 'tab') =>
    new Set(chosen.map((e) => JSON.stringify(e[name]))).size === 1 && chosen[0]?.[name] !== undefined;
  return {
    ...(same('modes') ? { modes: chosen[0]?.modes } : {}),
    ...(same('tab') ? { tab: chosen[0]?.tab } : {}),
  };
}

/** The buttons in the row below an element: what it is added to by. */
function buttonsBelow(all: Kept<Element>[], e: Kept<Element>): Kept<Element>[] {
  const next = Math.min(...all.filter((x) => x.cell.row > e.cell.row).map((x) => x.cell.row));
  const row = all.filter((x) => x.cell.row === next);
  return row.every((x) => x.kind === 'button') ? row : [];
}

/**
 * The edit that lets elements take turns in tabs, where the first of them stands: each that is tall begins one, named by
 * its words, and takes with it the buttons right below it, and what else is chosen there. What stood between goes below
 * the tabs.
 */
export function intoTabs(d: Document, screen: string, meant: Kept<Element>[]): Gathered {
  const all = elementsOf(d, screen);
  const id = newId('e');
  const lists = meant.filter((e) => e.kind === 'list');
  const chosen = [...new Set([...meant, ...lists.flatMap((e) => buttonsBelow(all, e))])];
  const ordered = [...chosen].sort(byPlace);
  const top = ordered[0]?.cell.row ?? 1;
  const turns: Kept<Element>[][] = [];
  for (const e of ordered) {
    const last = turns.at(-1);
    if (last && !builtOf(e).tall && last.some((x) => builtOf(x).tall)) last.push(e);
    else turns.push([e]);
  }
  const ops: Op[] = [];
  let most = 0;
  turns.forEach((turn, i) => {
    const first = turn[0]?.cell.row ?? 1;
    let row = top + 1;
    let before = first;
    let height = 1;
    for (const e of turn) {
      if (e.cell.row > before) [row, before, height] = [row + height, e.cell.row, 1];
      height = Math.max(height, rowsOf(e.cell));
      ops.push(...put(d, [screen, 'elements', e.id, 'cell'], { ...e.cell, row }));
      ops.push(...put(d, [screen, 'elements', e.id, 'tab'], `${id}.t_${i + 1}`));
    }
    most = Math.max(most, row + height - top);
  });
  const ids = new Set(chosen.map((e) => e.id));
  for (const e of all)
    if (!ids.has(e.id) && e.cell.row >= top)
      ops.push(...put(d, [screen, 'elements', e.id, 'cell'], { ...e.cell, row: e.cell.row + most }));
  const modes = shared(chosen).modes;
  const body: Element = {
    kind: 'tabs',
    pos: posBehind(all),
    cell: { row: top, col: 1, w: columns },
    tabs: Object.fromEntries(turns.map((t, i) => [`t_${i + 1}`, { pos: i + 1, label: nameOf(d, t[0], i) }])),
    ...(modes ? { modes } : {}),
  };
  return { id, ops: [...ops, { op: 'add', path: `/${screen}/elements/${id}`, value: body }] };
}

function nameOf(d: Document, e: Kept<Element> | undefined, i: number): string {
  const words = e && builtOf(e).words?.(e, d);
  return words || `Tab ${i + 1}`;
}
