import { expect, test } from 'vitest';
import type { ElementView, View } from '../api/client';
import { foldedRows, panelsOf, usedRows } from './layout';

const element = (id: string, row: number, col: number, w: number, h?: number): ElementView => ({
  id,
  kind: 'text',
  cell: { row, col, w, h },
  state: 'shown',
  text: { words: '', style: 'plain' },
});
const view = (elements: ElementView[]): View => ({
  screen: 's',
  type: 'operator',
  title: '',
  heading: '',
  mode: 'view',
  place: { screen: 's', mode: 'view' },
  address: '/',
  elements,
});

test('empty rows take no room', () => {
  const rows = [element('a', 7, 1, 2), element('b', 2, 1, 2), element('c', 7, 3, 2)];
  expect(usedRows(view(rows))).toEqual([2, 7]);
});

test('elements in the same columns, one below the other, make a panel', () => {
  const left = [element('a', 1, 1, 3), element('b', 2, 1, 3, 2), element('c', 4, 1, 3)];
  const others = [element('d', 1, 4, 6, 4), element('e', 5, 1, 12), element('f', 7, 1, 3)];
  const panels = panelsOf(view([...left, ...others]));
  expect(panels.map((p) => [p.elements.map((e) => e.id).join(''), p.row, p.h])).toEqual([
    ['abc', 1, 4],
    ['d', 1, 4],
    ['e', 5, 1],
    ['f', 7, 1],
  ]);
});

test('panels that begin in a row end together, where nothing is in the way', () => {
  const left = [element('a', 1, 1, 3), element('b', 2, 1, 3), element('c', 3, 1, 3)];
  const others = [element('d', 1, 4, 3), element('e', 1, 7, 3), element('f', 3, 8, 2)];
  const panels = panelsOf(view([...left, ...others]));
  expect(panels.map((p) => [p.elements.map((e) => e.id).join(''), p.row, p.h])).toEqual([
    ['abc', 1, 3],
    ['d', 1, 3],
    ['e', 1, 2],
    ['f', 3, 1],
  ]);
});

test('above a list more than two buttons in a row fold, all but the first', () => {
  const button = (id: string, row: number, col: number): ElementView => ({
    id,
    kind: 'button',
    cell: { row, col, w: 2 },
    state: 'shown',
    button: { words: id, tone: 'plain', trigger: 'release' },
  });
  const list: ElementView = {
    ...element('l', 3, 1, 12),
    kind: 'list',
    list: { columns: [], rows: [], main: true },
  } as never;
  const row = [button('b', 1, 3), button('a', 1, 1), button('c', 1, 5)];
  expect(foldedRows(view([...row, list]))).toEqual(new Map([[1, { below: 'narrow', ids: ['b', 'c'] }]]));
  expect(foldedRows(view(row))).toEqual(new Map()); // nothing below that is pushed away
  expect(foldedRows(view([...row.slice(1), list]))).toEqual(new Map());
  expect(foldedRows(view([...row, element('t', 1, 7, 2), list]))).toEqual(new Map());
});

test('what a button says of folding counts, wherever it stands', () => {
  const one = (id: string, col: number, fold?: 'narrow' | 'middle' | 'never'): ElementView => ({
    id,
    kind: 'button',
    cell: { row: 1, col, w: 2 },
    state: 'shown',
    button: { words: id, tone: 'plain', trigger: 'release', fold },
  });
  expect(foldedRows(view([one('a', 1), one('b', 3, 'narrow')]))).toEqual(
    new Map([[1, { below: 'narrow', ids: ['b'] }]]),
  );
  const both = [one('a', 1), one('b', 3, 'narrow'), one('c', 5, 'middle')];
  expect(foldedRows(view(both)).get(1)).toEqual({ below: 'middle', ids: ['b', 'c'] });
  const list: ElementView = {
    ...element('l', 2, 1, 12),
    kind: 'list',
    list: { table: 't', label: '', main: true, count: 0, columns: [], rows: [], sort: [] },
  };
  expect(foldedRows(view([one('a', 1), one('b', 3), one('c', 5, 'never'), list])).get(1)?.ids).toEqual(['b']);
});
