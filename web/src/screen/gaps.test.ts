import { expect, test } from 'vitest';
import type { ElementView, View } from '../api/client';
import { gapsOf, tabAt } from './gaps';

const element = (kind: string, row: number, col: number, w: number, h?: number, more = {}) =>
  ({ id: `e_${kind}${row}${col}`, kind, cell: { row, col, w, h }, state: 'shown', ...more }) as ElementView;

const view = (elements: ElementView[], type = 'form') => ({ type, elements }) as View;

test('beside buttons a cell is offered plainly, in other gaps quietly, and one below everything', () => {
  const v = view([
    element('field', 1, 1, 4),
    element('field', 1, 9, 4),
    element('button', 3, 1, 2),
    element('list', 4, 1, 12, 5),
  ]);
  expect(gapsOf(v, [1, 3, 4])).toEqual([
    { row: 1, line: 1, col: 5, w: 4, quiet: true },
    { row: 3, line: 2, col: 3, w: 2, quiet: false },
    { row: 9, line: 4, col: 1, w: 3, quiet: false },
  ]);
});

test('on an operator screen what is tall takes the rows below it too; a gap of one column is none', () => {
  const v = view([element('gauge', 1, 1, 6, 2), element('lamp', 2, 8, 5)], 'operator');
  expect(gapsOf(v, [1, 2]).map((g) => [g.row, g.col, g.w])).toEqual([
    [1, 7, 6],
    [3, 1, 3],
  ]);
});

test('what is put below tabs belongs to the open one', () => {
  const v = view([element('tabs', 2, 1, 12, undefined, { tabs: { tabs: [], open: 't_2' } })]);
  expect(tabAt(v, 3)).toBe('e_tabs21.t_2');
  expect(tabAt(v, 2)).toBeUndefined();
});
