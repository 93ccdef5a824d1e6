import { describe, expect, test } from 'vitest';
import type { Document, Element } from '../../document/document.gen';
import { entityOf, inOrder } from '../../document/parts';
import { screenOf } from '../../document/screens';
import { cell, project, table } from '../../document/testProject';
import { found } from '../choices';
import { spotsOf } from '../elements/all';
import { looksWorkedOut } from './chips/constants';
import { actionsOf } from './effects/all';
import { targetsOf } from './targets/all';

// What pickers offer on a screen, by what is in the project.

const entities: Document = {
  ...project({}),
  v_two: { kind: 'variable', pos: 2, label: 'More', alias: 'more', type: 'yesno', start: 'false', screen: 's_form' },
  v_one: { kind: 'variable', pos: 1, label: 'My lift', alias: 'my_lift', type: 'record', table: 't_x' },
  ra_d: { kind: 'rail', pos: 2, name: 'Drives', edge: 'left', placed: {}, drawer: { pull: true } },
};

describe('what can be done', () => {
  const words = (screen: string) => actionsOf({ entities, screen }).map((a) => a.words);

  test('knows the record, the list, the variables and the drawers of the screen', () => {
    const form = words('s_form');
    expect(form).toEqual(
      expect.arrayContaining(['save what was typed', 'delete this ex', 'set a variable …', 'forget my lift']),
    );
    expect(form).toEqual(expect.arrayContaining(['put back more', 'open or close the drawer “Drives”']));
    expect(form.filter((w) => w.includes('Rail'))).toEqual([]); // it is no drawer
    expect(form).not.toContain('take all filters off');
    const list = words('s_list');
    expect(list).toContain('take all filters off');
    expect(list).not.toContain('put back more'); // another screen's
    expect(list).not.toContain('save what was typed');
  });

  test('stands in groups, each once', () => {
    const groups = actionsOf({ entities, screen: 's_form' }).map((a) => a.group);
    const turns = groups.filter((g, i) => g !== groups[i - 1]);
    expect(new Set(turns).size).toBe(turns.length);
  });
});

describe('where one can be led', () => {
  const targets = targetsOf({
    entities,
    screen: 's_form',
    offers: [{ project: 'p', title: 'P', screen: 'S', entry: 'e', inputs: [] }],
  });
  const move = (words: string) => targets.find((t) => t.words === words)?.move;

  test('to screens, along lists and rails, out of the project, or nowhere', () => {
    expect(move('List')).toEqual({ kind: 'screen', target: 's_list' });
    expect(move('go to the next ex')).toEqual({ kind: 'step', step: 'next' });
    expect(move('go to the previous along “Rail”')).toEqual({ kind: 'along', step: 'previous', rail: 'ra_1' });
    expect(move('S')).toEqual({ kind: 'project', project: 'p', entry: 'e' });
    expect(move('go home')).toEqual({ kind: 'home' });
    expect(targets.find((t) => t.id === 'stay')?.move).toBeUndefined();
    expect(targets.filter((t) => t.Form).map((t) => t.id)).toEqual(['address', 'choice']);
  });

  test('steps along a list need a record of the screen', () => {
    const list = targetsOf({ entities, screen: 's_list', offers: [] });
    expect(list.some((t) => t.move?.kind === 'step')).toBe(false);
  });

  test('every id is there once', () => {
    expect(new Set(targets.map((t) => t.id)).size).toBe(targets.length);
  });
});

test('parts of a screen are told by what people call them; a block of tabs by its tabs', () => {
  const elements: Record<string, Element> = {
    a: { kind: 'list', pos: 1, cell, table: 't_y', columns: {} },
    b: { kind: 'field', pos: 2, cell, path: 'f_state' },
    c: { kind: 'tabs', pos: 3, cell, tabs: { x: { pos: 2, label: 'Two' }, w: { pos: 1, label: 'One' } } },
    d: { kind: 'image', pos: 4, cell, picture: 'im_1' },
  };
  const form = screenOf(entities, 's_form');
  if (!form) throw new Error('the test project has no form');
  const { id: _, ...own } = form;
  const all = { ...entities, s_form: { ...own, elements }, t_y: { ...table('why', {}), label: 'Whys' } };
  const spots = inOrder(elements).flatMap((e) => spotsOf(e, all));
  expect(spots.map((s) => `${s.id} ${s.words}`)).toEqual([
    'a Whys',
    `b ${entityOf(all, 't_x', 'table')?.fields.f_state?.label}`,
    'c.w the tab “One”',
    'c.x the tab “Two”',
  ]);
});

test('what is typed is words unless it begins like an expression', () => {
  for (const text of ['vars.my_lift', 'record.code', 'user.login', '"north"', 'today()'])
    expect(looksWorkedOut(text)).toBe(true);
  for (const text of ['north', 'variables', 'recorded by hand', '3']) expect(looksWorkedOut(text)).toBe(false);
});

test('what is called so comes before what begins so, has it, or only notes it', () => {
  const choices = ['a cabin list', 'cabins', 'cabin', 'lift'].map((words) => ({
    id: words,
    words,
    note: words === 'lift' ? 'with a cabin' : '',
  }));
  expect(found(choices, 'Cabin').map((c) => c.id)).toEqual(['cabin', 'cabins', 'a cabin list', 'lift']);
  expect(found(choices, 'list cab').map((c) => c.id)).toEqual(['a cabin list']);
  expect(found(choices, '')).toEqual(choices);
});
