import { expect, test } from 'vitest';
import type { Document, Element } from '../../document/document.gen';
import type { Kept } from '../../document/parts';
import { inColumn, inRow, sameLook, sameWidth, sameWiring, toRail } from './several';

const at = (id: string, row: number, col: number, w: number, kind = 'button') =>
  ({ id, kind, pos: 1, words: id, cell: { row, col, w } }) as Kept<Element>;

const told = (cells: Map<string, { row: number; col: number; w: number }>) =>
  Object.fromEntries([...cells].map(([id, c]) => [id, `${c.row}.${c.col}.${c.w}`]));

test('all get the width of the last one, as far as the grid goes', () => {
  const last = at('b', 2, 1, 6);
  expect(told(sameWidth([at('a', 1, 9, 2), last], last))).toEqual({ a: '1.9.4', b: '2.1.6' });
});

test('all begin in its column, where they fit', () => {
  const last = at('b', 2, 5, 2);
  expect(told(inColumn([at('a', 1, 1, 10), last], last))).toEqual({ a: '1.3.10', b: '2.5.2' });
});

test('spread in one row: between their edges where they stand side by side, else over all columns', () => {
  const side = [at('a', 3, 1, 2), at('b', 3, 4, 2), at('c', 3, 8, 2)];
  expect(told(inRow(side, at('c', 3, 8, 2)))).toEqual({ a: '3.1.3', b: '3.4.3', c: '3.7.3' });
  const below = ['a', 'b', 'c', 'd', 'e'].map((id, i) => at(id, i + 1, 1, 4));
  expect(told(inRow(below, at('a', 1, 1, 4)))).toEqual({ a: '1.1.2', b: '1.3.2', c: '1.5.2', d: '1.7.2', e: '1.9.2' });
});

test('a strip of them stands on every screen, in their order, and they leave their own', () => {
  const all = [at('e_b', 1, 5, 2), at('e_a', 1, 1, 2), at('e_list', 2, 1, 12, 'list')];
  const d = {
    s_a: { kind: 'screen', elements: Object.fromEntries(all.map(({ id, ...e }) => [id, e])) },
  } as unknown as Document;
  const { id, ops } = toRail(d, 's_a', all, 'bottom');
  const rail = ops.at(-1);
  expect(rail?.path).toBe(`/${id}`);
  expect(rail?.value).toMatchObject({ edge: 'bottom', elements: { e_a: { pos: 1 }, e_b: { pos: 2 } } });
  expect(ops.filter((o) => o.op === 'remove').map((o) => o.path)).toEqual(['/s_a/elements/e_a', '/s_a/elements/e_b']);
});

test('buttons get the look of the last one, and lose what it has not; words and ways stay', () => {
  const button = (id: string, more: object) => ({ ...at(id, 1, 1, 2), ...more }) as Kept<Element>;
  const last = button('b', { tone: 'main', icon: 'plus' });
  const all = [button('a', { tone: 'warn', tip: 'Mind', words: 'Go' }), last, at('t', 2, 1, 2, 'text')];
  const elements = Object.fromEntries(all.map(({ id, ...e }) => [id, e]));
  const d = { s_a: { kind: 'screen', type: 'menu', title: 'A', slug: 'a', elements } } as unknown as Document;
  const done = sameLook(d, 's_a', all, last).filter((o) => o.op !== 'test');
  expect(done.map((o) => [o.op, o.path, o.value])).toEqual([
    ['replace', '/s_a/elements/a/tone', 'main'],
    ['add', '/s_a/elements/a/icon', 'plus'],
    ['remove', '/s_a/elements/a/tip', undefined],
  ]);
  expect(sameLook(d, 's_a', all, at('t', 2, 1, 2, 'text'))).toEqual([]);
});

test('what was copied wires all that can be pressed', () => {
  const all = [at('a', 1, 1, 2), at('b', 2, 1, 2, 'text'), at('c', 3, 1, 2, 'image')];
  const elements = Object.fromEntries(all.map(({ id, ...e }) => [id, e]));
  const d = { s_a: { kind: 'screen', type: 'menu', title: 'A', slug: 'a', elements } } as unknown as Document;
  const paths = sameWiring(d, 's_a', all, { cases: { c_1: { pos: 1 } } }).filter((o) => o.op !== 'test');
  expect(paths.map((o) => o.path)).toEqual(['/s_a/elements/a/gate', '/s_a/elements/c/gate']);
});
