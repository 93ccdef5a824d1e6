import { expect, test } from 'vitest';
import { arranged, type Placed, rowAt, stepped } from './arrange';

const placed = (id: string, row: number, col: number, w: number, more: Partial<Placed> = {}): Placed => ({
  id,
  cell: { row, col, w },
  ...more,
});

const cells = (all: Placed[], id: string, row: number, col: number, w: number, between = false, tall = false) =>
  Object.fromEntries(
    [...arranged(all, id, { cell: { row, col, w }, between }, tall)].map(([e, c]) => [e, `${c.row}.${c.col}.${c.w}`]),
  );

test('what is put on an empty cell moves nothing else', () => {
  const all = [placed('a', 1, 1, 4), placed('b', 2, 1, 4)];
  expect(cells(all, 'a', 2, 5, 4)).toEqual({ a: '2.5.4' });
  expect(cells(all, 'a', 1, 1, 4)).toEqual({});
});

test('what would be covered goes down, and so does what that covers', () => {
  const all = [placed('a', 1, 1, 4), placed('b', 2, 1, 4), placed('c', 3, 3, 4), placed('d', 3, 9, 4)];
  expect(cells(all, 'a', 2, 2, 4)).toEqual({ a: '2.2.4', b: '3.1.4', c: '4.3.4' });
});

test('between two rows everything below goes down by one', () => {
  const all = [placed('a', 5, 1, 4), placed('b', 2, 1, 4), placed('c', 3, 1, 12)];
  expect(cells(all, 'a', 2, 1, 4, true)).toEqual({ a: '2.1.4', b: '3.1.4', c: '4.1.12' });
});

test('buttons of other modes and tabs share a cell, and what stood on another already stays', () => {
  const view = placed('edit', 4, 1, 2, { modes: { view: true } });
  const edit = placed('save', 4, 1, 2, { modes: { edit: true, add: true } });
  expect(cells([view, edit, placed('x', 5, 1, 2)], 'x', 4, 1, 2)).toEqual({ x: '4.1.2', edit: '5.1.2', save: '5.1.2' });
  expect(cells([view, edit], 'edit', 4, 1, 4)).toEqual({ edit: '4.1.4' });
  const tab = (id: string, tab: string) => placed(id, 7, 1, 12, { tab });
  expect(cells([tab('a', 'e.1'), tab('b', 'e.2')], 'a', 7, 3, 4)).toEqual({ a: '7.3.4' });
});

test('on an operator screen heights count', () => {
  const all: Placed[] = [{ id: 'a', cell: { row: 1, col: 1, w: 3, h: 2 } }, placed('b', 3, 1, 3)];
  expect(Object.fromEntries(arranged(all, 'a', { cell: { row: 2, col: 1, w: 3, h: 2 } }, true))).toEqual({
    a: { row: 2, col: 1, w: 3, h: 2 },
    b: { row: 4, col: 1, w: 3 },
  });
});

const frame = (id: string, row: number, col: number, w: number, h: number): Placed => ({
  id,
  kind: 'group',
  cell: { row, col, w, h },
});
const tall = (all: Placed[], id: string, row: number, col: number, w: number, h?: number) =>
  Object.fromEntries(
    [...arranged(all, id, { cell: { row, col, w, ...(h ? { h } : {}) } }, false)].map(([e, c]) => [
      e,
      `${c.row}.${c.col}.${c.w}${c.h ? `.${c.h}` : ''}`,
    ]),
  );

test('a frame takes with it what it holds, and is made room for as a whole', () => {
  const all = [frame('f', 2, 1, 6, 3), placed('a', 3, 1, 3), placed('b', 4, 1, 6), placed('c', 6, 1, 6)];
  expect(tall(all, 'f', 2, 7, 6, 3)).toEqual({ f: '2.7.6.3', a: '3.7.3', b: '4.7.6' });
  expect(tall(all, 'f', 4, 1, 6, 3)).toEqual({ f: '4.1.6.3', a: '5.1.3', b: '6.1.6', c: '7.1.6' });
  expect(tall(all, 'c', 1, 1, 6)).toEqual({ c: '1.1.6' });
});

test('what is put into a frame makes it grow, and what is taken out lets it shrink', () => {
  const all = [frame('f', 2, 1, 6, 2), placed('a', 3, 1, 6), placed('b', 4, 1, 6), placed('c', 1, 7, 6)];
  // On its heading: below that, and what stood there goes down; what stands below the frame too.
  expect(tall(all, 'c', 2, 1, 6)).toEqual({ c: '3.1.6', a: '4.1.6', f: '2.1.6.3', b: '5.1.6' });
  expect(tall(all, 'c', 3, 4, 6)).toEqual({ c: '3.4.3', a: '4.1.6', f: '2.1.6.3', b: '5.1.6' });
  expect(tall(all, 'a', 1, 1, 6)).toEqual({ a: '1.1.6', f: '2.1.6.1' });
  // No wider than the frame.
  expect(tall(all, 'a', 3, 3, 8)).toEqual({ a: '3.3.4' });
});

test('a frame within a frame goes along, and the outer one grows with it', () => {
  const all = [
    frame('o', 1, 1, 12, 4),
    frame('i', 2, 1, 6, 3),
    placed('a', 3, 1, 6),
    placed('b', 4, 1, 6),
    placed('x', 9, 1, 6),
  ];
  expect(tall(all, 'o', 3, 1, 12, 4)).toEqual({ o: '3.1.12.4', i: '4.1.6.3', a: '5.1.6', b: '6.1.6' });
  expect(tall(all, 'x', 3, 1, 6)).toEqual({ x: '3.1.6', a: '4.1.6', b: '5.1.6', i: '2.1.6.4', o: '1.1.12.5' });
});

test('a row opened within a frame makes it taller', () => {
  const all = [frame('f', 2, 1, 6, 3), placed('a', 3, 1, 6), placed('b', 4, 1, 6), placed('c', 5, 1, 6)];
  expect(cells(all, 'c', 4, 1, 6, true)).toEqual({ c: '4.1.6', b: '5.1.6', f: '2.1.6' });
});

test('a step stays on the grid', () => {
  expect(stepped({ row: 1, col: 1, w: 4 }, { col: -1, row: -1 })).toEqual({ row: 1, col: 1, w: 4 });
  expect(stepped({ row: 1, col: 9, w: 4 }, { col: 1 })).toEqual({ row: 1, col: 9, w: 4 });
  expect(stepped({ row: 1, col: 9, w: 4 }, { w: 1 })).toEqual({ row: 1, col: 9, w: 4 });
  expect(stepped({ row: 1, col: 9, w: 1 }, { w: -1 })).toEqual({ row: 1, col: 9, w: 1 });
  expect(stepped({ row: 2, col: 1, w: 4, h: 1 }, { h: 2 })).toEqual({ row: 2, col: 1, w: 4, h: 3 });
});

test('a height on the screen means a row, the gap before one, or below all', () => {
  const bands = [
    { row: 1, top: 100, bottom: 140 },
    { row: 4, top: 154, bottom: 300 },
  ];
  expect(rowAt(bands, 120)).toEqual({ row: 1 });
  expect(rowAt(bands, 148)).toEqual({ row: 4, between: true });
  expect(rowAt(bands, 200)).toEqual({ row: 4 });
  expect(rowAt(bands, 320)).toEqual({ row: 5 });
  expect(rowAt([], 10)).toEqual({ row: 1 });
});
