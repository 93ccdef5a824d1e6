import { expect, test } from 'vitest';
import { ownedOf } from './owner';
import { entitiesOf, entityOf, idsIn, inOrder, nameOfEntity } from './parts';
import { project } from './testProject';

const doc = project({});

test('an element stands on the screen, on a rail, or is a way of the screen itself', () => {
  expect(ownedOf(doc, 's_form', 'e_a')?.path).toEqual(['s_form', 'elements', 'e_a']);
  expect(ownedOf(doc, 's_form', 'e_r')).toMatchObject({
    path: ['ra_1', 'elements', 'e_r'],
    element: { words: 'Rail' },
  });
  expect(ownedOf(doc, 's_form', 'e_none')).toBeUndefined();
  const form = entityOf(doc, 's_form', 'screen');
  if (!form) throw new Error('the screen is there');
  const ways = { ...doc, s_form: { ...form, ways: { w_1: { trigger: 'entered' as const, pos: 1 } } } };
  expect(ownedOf(ways, 's_form', 'w_1')).toMatchObject({
    path: ['s_form', 'ways', 'w_1'],
    way: { trigger: 'entered' },
  });
});

test('entities are found by their kind, and what is of another kind is not', () => {
  expect(entitiesOf(doc, 'screen').map((s) => s.id)).toEqual(['s_form', 's_list']);
  expect(entityOf(doc, 't_x', 'screen')).toBeUndefined();
  expect(entityOf(doc, undefined, 'screen')).toBeUndefined();
  expect([doc.t_x, doc.s_form, doc.ra_1].map(nameOfEntity)).toEqual(['Exes', 'Form', 'Rail']);
});

test('what is kept by id has an order, and sets hold what is true in them', () => {
  expect(inOrder({ b: { pos: 2 }, a: { pos: 1.5 } }).map((x) => x.id)).toEqual(['a', 'b']);
  expect(idsIn({ f_1: true, f_2: false })).toEqual(['f_1']);
  expect(idsIn(undefined)).toEqual([]);
});
