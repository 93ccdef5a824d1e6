import { expect, test } from 'vitest';
import type { Document, Element } from '../../document/document.gen';
import type { Kept } from '../../document/parts';
import { likesOf, movedToo } from './samePlace';

const save = (col: number): Element => ({ kind: 'button', pos: 1, cell: { row: 3, col, w: 2 }, words: 'Save' });
const form = (title: string, elements: Record<string, Element>) => ({
  kind: 'screen' as const,
  type: 'form' as const,
  title,
  slug: title,
  elements,
});
const d: Document = {
  s_a: form('a', { e_1: save(5) }), // it was moved already, from column 1
  s_b: form('b', { e_2: save(1), e_3: { kind: 'text', pos: 2, cell: { row: 3, col: 5, w: 4 }, words: 'Note' } }),
  s_c: form('c', { e_4: save(7) }),
  s_d: { ...form('d', { e_5: save(1) }), type: 'menu' },
};

test('the likes of an element are those that stood where it stood, on screens of the kind', () => {
  const one = { ...save(5), id: 'e_1' };
  expect(likesOf(d, 's_a', one, { row: 3, col: 1, w: 2 })).toEqual([{ screen: 's_b', element: 'e_2' }]);
  expect(likesOf(d, 's_a', one, { row: 9, col: 1, w: 2 })).toEqual([]);
  const other: Kept<Element> = { id: 'e_1', kind: 'button', pos: 1, cell: one.cell, words: 'Keep' };
  expect(likesOf(d, 's_a', other, { row: 3, col: 1, w: 2 })).toEqual([]);
});

test('they are put where it stands now, and what stands there makes room', () => {
  const ops = movedToo(d, [{ screen: 's_b', element: 'e_2' }], { row: 3, col: 5, w: 2 });
  const moved = Object.fromEntries(ops.filter((o) => o.op !== 'test').map((o) => [o.path, o.value]));
  expect(moved['/s_b/elements/e_2/cell']).toEqual({ row: 3, col: 5, w: 2 });
  expect((moved['/s_b/elements/e_3/cell'] as { row: number }).row).toBeGreaterThan(3);
});
