import { expect, test } from 'vitest';
import type { ReachCell, ReachTable } from '../../../api/client';
import { columnsShown, csvOf, linesShown, lookOf, type Shown, sayCell } from './cells';

const cell = (kind: ReachCell['kind'], more: Partial<ReachCell> = {}): ReachCell => ({ kind, ...more });

test('a cell says in words what its colour says', () => {
  const said = (c: ReachCell) => `${lookOf(c).words} / ${sayCell(c)}`;
  expect(said(cell('start'))).toBe('start / starts here');
  expect(said(cell('sure', { presses: 1 }))).toBe('1 / surely in 1 press');
  expect(said(cell('given', { presses: 2, given: ['a row in Xs', 'its y'] }))).toBe(
    '2 if there / in 2 presses, given a row in Xs and its y',
  );
  expect(said(cell('maybe', { presses: 3 }))).toBe('3 maybe / maybe in 3 presses: it is not proven');
  expect(said(cell('by itself'))).toBe('by itself / brought here without a press');
  expect(lookOf(cell('by address')).words).toBe('address only');
  expect(lookOf(cell('never')).words).toBe('never');
  expect(said(cell('sure', { presses: 1, trapped: true }))).toBe('1 trap / surely in 1 press; no proven way back');
  expect(lookOf(cell('maybe', { presses: 1 })).dashed).toBe(true);
});

const who = (key: string) => ({ key, roles: [key], name: key.toUpperCase(), people: 1 });
const line = (screen: string, ...cells: ReachCell[]) => ({
  screen,
  title: `T ${screen}`,
  type: 'form',
  area: 'Area',
  cells,
});
const table: ReachTable = {
  who: [who('a'), who('b')],
  lines: [
    line('s_1', cell('start'), cell('start')),
    line('s_2', cell('sure', { presses: 1 }), cell('never')),
    line('s_3', cell('by address'), cell('never')),
    line(
      's_4',
      cell('sure', { presses: 2, trapped: true }),
      cell('sure', { presses: 2, was: cell('maybe', { presses: 2 }) }),
    ),
    line('s_5', cell('sure', { presses: 1, expected: 'broken' }), cell('sure', { presses: 1, expected: 'kept' })),
  ],
  expected: [],
  changed: 1,
};
const shown = (s: Partial<Shown>) =>
  linesShown(table, { only: 'all', one: 'a', other: 'b', find: '', ...s }).map((l) => l.screen);

test('lines are narrowed to what one looks for', () => {
  expect(shown({})).toHaveLength(5);
  expect(shown({ find: 't s_3' })).toEqual(['s_3']);
  expect(shown({ only: 'differ' })).toEqual(['s_2', 's_3', 's_4']);
  expect(shown({ only: 'edit' })).toEqual(['s_4']);
  expect(shown({ only: 'expected' })).toEqual(['s_5']);
  expect(shown({ only: 'trouble' })).toEqual(['s_3', 's_4', 's_5']);
});

test('two that are compared stand alone', () => {
  const all = { ...table, who: [who('a'), who('b'), who('c')] };
  const keys = (only: Shown['only']) =>
    columnsShown(all, { only, one: 'a', other: 'c', find: '' }).map((c) => c.who.key);
  expect(keys('all')).toEqual(['a', 'b', 'c']);
  expect(keys('differ')).toEqual(['a', 'c']);
});

test('the table as a file is what the standard for such says', () => {
  const odd = { ...table, lines: [{ ...line('s_1', cell('start'), cell('never')), title: 'A "b", c' }] };
  expect(csvOf(odd)).toBe('screen,area,kind,A,B\r\n"A ""b"", c",Area,form,start,never');
});
