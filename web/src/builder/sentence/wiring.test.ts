import { expect, test } from 'vitest';
import { at } from '../../document/edit';
import { project } from '../../document/testProject';
import { addCase } from './chips/conditions';
import { applied, ref } from './testWay';
import { moveOf, putMove, takeOut } from './wiring';

test('a further case stands before the one for every other', () => {
  const cases = project({ cases: { c_1: { pos: 1, when: 'a' }, c_2: { pos: 2 } } });
  expect(addCase(ref(cases), 'b')[0]?.value).toEqual({ pos: 1.5, when: 'b' });
  const only = project({ cases: { c_1: { pos: 3 } } });
  expect(addCase(ref(only), 'b')[0]?.value).toEqual({ pos: 2, when: 'b' });
  const all = project({ cases: { c_1: { pos: 1, when: 'a' } } });
  expect(addCase(ref(all), 'b')[0]?.value).toEqual({ pos: 2, when: 'b' });
  expect(JSON.stringify(addCase(ref(project({})), 'b')[0]?.value)).toContain('"when":"b"');
});

test('a way is taken out: an entry of a menu whole, of a button its gate', () => {
  const entities = project({ while: 'x' });
  expect(takeOut(ref(entities)).at(-1)).toEqual({ op: 'remove', path: '/s_form/elements/e_a/gate' });
  const gate = ['s_list', 'elements', 'e_l', 'menu', 'm_1', 'gate'];
  const entry = ref(entities, { trigger: 'menu.m_1', at: gate });
  expect(takeOut(entry).at(-1)).toEqual({ op: 'remove', path: '/s_list/elements/e_l/menu/m_1' });
});

test('a move is put into the first case, which is made if there is none', () => {
  const bare = project({});
  const made = applied(bare, putMove(ref(bare), { kind: 'home' }));
  expect(at(made, ['s_form', 'elements', 'e_a', 'gate', 'cases', 'c_1'])).toEqual({ pos: 1, move: { kind: 'home' } });
  const changed = applied(made, putMove(ref(made), { kind: 'back' }));
  expect(moveOf(ref(changed), undefined)).toEqual({ kind: 'back' });
  expect(moveOf(ref(applied(changed, putMove(ref(changed), undefined))), undefined)).toBeUndefined();
});
