import { expect, test } from 'vitest';
import { aliasOf } from './alias';
import type { Document } from './document.gen';
import { cell } from './testProject';
import { nameOf, newVariable, usesOf, variablesOf } from './variables';

const project: Document = {
  v_two: {
    kind: 'variable',
    pos: 2,
    label: 'More',
    alias: 'more',
    type: 'yesno',
    start: 'false',
    screen: 's_a',
  },
  v_one: { kind: 'variable', pos: 1, label: 'My lift', alias: 'my_lift', type: 'record', table: 't_l' },
  s_a: {
    kind: 'screen',
    type: 'menu',
    title: 'A',
    slug: 'a',
    elements: { e_1: { kind: 'text', pos: 1, cell, words: 'Mine: {vars.v_one}' } },
  },
  ra_d: {
    kind: 'rail',
    pos: 1,
    name: 'Drives',
    edge: 'left',
    placed: {},
    elements: { e_2: { kind: 'button', pos: 1, cell, words: '', gate: { while: 'vars.v_two' } } },
  },
};

test('a name for people becomes a legal one for expressions', () => {
  expect(aliasOf('In service & mine')).toBe('in_service_mine');
  expect(aliasOf('Über 3')).toBe('uber_3');
  expect(aliasOf('3 days')).toBe('c_3_days');
});

test.each([
  ['My lift', [], 'my_lift'],
  ['My lift', ['my_lift'], 'my_lift_2'],
  ['My lift', ['my_lift', 'my_lift_2'], 'my_lift_3'],
  ['2nd  Größe!', [], 'c_2nd_gro_e'],
  ['___', [], 'c_'],
  ['…', ['c_'], 'c__2'],
  ['x'.repeat(80), [], 'x'.repeat(36)],
])('%s is named so that no other has it', (label, taken, want) => {
  expect(nameOf(label, taken)).toBe(want);
  expect(want).toMatch(/^[a-z][a-z0-9_]{0,40}$/);
});

test('variables are read in order, and made with what they begin with', () => {
  expect(variablesOf(project).map((v) => v.label)).toEqual(['My lift', 'More']);
  const made = newVariable(project, { label: 'More', type: 'yesno', table: 't_l', screen: 's_b' });
  expect(made.ops.map((o) => o.value)).toEqual([
    { kind: 'variable', pos: 3, label: 'More', alias: 'more_2', type: 'yesno', start: 'false', screen: 's_b' },
  ]);
  const record = newVariable(project, { label: 'Cabin', type: 'record', table: 't_c', screen: '' });
  expect(record.ops[0]?.value).toEqual({
    kind: 'variable',
    pos: 3,
    label: 'Cabin',
    alias: 'cabin',
    type: 'record',
    table: 't_c',
  });
  expect(made.id).not.toBe(record.id);
});

test('where a variable is used is told by name', () => {
  expect(usesOf(project, 'v_one')).toEqual([{ id: 's_a', words: 'A' }]);
  expect(usesOf(project, 'v_two')).toEqual([{ id: 'ra_d', words: 'Drives' }]);
  expect(usesOf(project, 'v_none')).toEqual([]);
});
