import { expect, test } from '@playwright/test';
import type { Entities } from '../web/src/builder/edit';
import { actionsOf, looksWorkedOut } from '../web/src/builder/sentence/effects/actions';
import { nameOf, newVariable, usesOf, variablesOf } from '../web/src/builder/variables';
import { inkOn } from '../web/src/ui/inkOn';

// Variables in the document and colours, without a browser.

const project: Entities = {
  v_two: { kind: 'variable', pos: 2, label: 'More', alias: 'more', type: 'yesno', start: 'false', screen: 's_a' },
  v_one: { kind: 'variable', pos: 1, label: 'My lift', alias: 'my_lift', type: 'record', table: 't_l' },
  s_a: { kind: 'screen', type: 'menu', title: 'A', slug: 'a', elements: { e_1: { kind: 'button', words: 'Mine: {vars.v_one}' } } },
  s_b: { kind: 'screen', type: 'menu', title: 'B', slug: 'b', elements: {} },
  ra_d: { kind: 'rail', name: 'Drives', drawer: { pull: true }, elements: { e_2: { kind: 'button', gate: { while: 'vars.v_two' } } } },
  ra_f: { kind: 'rail', name: 'Fixed', elements: {} },
};

test('variables are read in order, named for expressions, and made with what they begin with', () => {
  expect(variablesOf(project).map((v) => v.label)).toEqual(['My lift', 'More']);
  for (const [label, taken, want] of [
    ['My lift', [], 'my_lift'],
    ['My lift', ['my_lift'], 'my_lift_2'],
    ['My lift', ['my_lift', 'my_lift_2'], 'my_lift_3'],
    ['2nd  Größe!', [], 'c_2nd_gro_e'],
    ['___', [], 'c_'],
    ['…', ['c_'], 'c__2'],
    ['x'.repeat(80), [], 'x'.repeat(36)],
  ] as [string, string[], string][]) {
    expect(nameOf(label, taken)).toBe(want);
    expect(nameOf(label, taken)).toMatch(/^[a-z][a-z0-9_]{0,40}$/);
  }
  const made = newVariable(project, { label: 'More', type: 'yesno', table: 't_l', screen: 's_b' });
  expect(made.ops).toHaveLength(1);
  expect(made.ops[0]?.value).toEqual({ kind: 'variable', pos: 3, label: 'More', alias: 'more_2', type: 'yesno', start: 'false', screen: 's_b' });
  const record = newVariable(project, { label: 'Cabin', type: 'record', table: 't_c', screen: '' });
  expect(record.ops[0]?.value).toEqual({ kind: 'variable', pos: 3, label: 'Cabin', alias: 'cabin', type: 'record', table: 't_c' });
  expect(made.id).not.toBe(record.id);
});

test('where a variable is used is told by name', () => {
  expect(usesOf(project, 'v_one')).toEqual([{ id: 's_a', words: 'A' }]);
  expect(usesOf(project, 'v_two')).toEqual([{ id: 'ra_d', words: 'Drives' }]);
  expect(usesOf(project, 'v_none')).toEqual([]);
});

test('the actions offered know the variables and drawers of the screen', () => {
  const words = (screen: string) => actionsOf(project, screen).map((a) => a.words);
  expect(words('s_a')).toEqual(expect.arrayContaining(['set a variable …', 'forget my lift', 'put back more', 'open the drawer “Drives”', 'open or close the drawer “Drives”']));
  expect(words('s_b')).not.toContain('put back more'); // another screen's
  expect(words('s_b').filter((w) => w.includes('Fixed'))).toEqual([]);
});

test('what is typed is words unless it begins like an expression', () => {
  for (const text of ['vars.my_lift', 'record.code', 'user.login', '"north"', 'today()']) expect(looksWorkedOut(text)).toBe(true);
  for (const text of ['north', 'variables', 'recorded by hand', '3']) expect(looksWorkedOut(text)).toBe(false);
});

test('what is written on a colour of one’s own reads on every colour', () => {
  const light = (c: string) => {
    const parts = [1, 3, 5].map((i) => Number.parseInt(c.slice(i, i + 2), 16) / 255).map((v) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4));
    return 0.2126 * (parts[0] ?? 0) + 0.7152 * (parts[1] ?? 0) + 0.0722 * (parts[2] ?? 0);
  };
  let worst = 21;
  for (let r = 0; r < 256; r += 15)
    for (let g = 0; g < 256; g += 15)
      for (let b = 0; b < 256; b += 15) {
        const ground = `#${[r, g, b].map((v) => v.toString(16).padStart(2, '0')).join('')}`;
        const [a = 0, z = 0] = [light(ground), light(inkOn(ground))].sort((x, y) => y - x);
        worst = Math.min(worst, (a + 0.05) / (z + 0.05));
      }
  expect(worst).toBeGreaterThanOrEqual(4.5);
});
