import { expect, test } from 'vitest';
import type { Document } from '../../../document/document.gen';
import { asSet } from '../../../document/parts';
import { setVerbs, verbsIn, verbsOf } from './grants';

const doc: Document = { gr_1: { kind: 'grant', role: 'r_a', table: 't_x', view: true, edit: true } };
const own = { id: 'gr_1', role: 'r_a', table: 't_x' };

test('verbs are set, changed and taken away with the grant', () => {
  expect([...verbsOf(doc, 'gr_1')]).toEqual(['view', 'edit']);
  expect(setVerbs(doc, own, new Set())).toEqual([{ op: 'remove', path: '/gr_1' }]);
  const changed = setVerbs(doc, own, new Set(['view', 'add'] as const));
  expect(changed.map((o) => `${o.op} ${o.path}`)).toEqual(['add /gr_1/add', 'test /gr_1/edit', 'remove /gr_1/edit']);
  const made = setVerbs(doc, { id: undefined, role: 'r_b', table: 't_x' }, new Set(['view'] as const));
  expect(made[0]?.value).toEqual({ kind: 'grant', role: 'r_b', table: 't_x', view: true });
  expect(setVerbs(doc, { id: undefined, role: 'r_b', table: 't_x' }, new Set())).toEqual([]);
});

test('what is ticked is read as verbs and sets', () => {
  expect([...verbsIn(new Set(['delete', 'nothing', 'view']))]).toEqual(['view', 'delete']);
  expect(asSet([])).toBeUndefined();
  expect(asSet(['f_2'])).toEqual({ f_2: true });
});
