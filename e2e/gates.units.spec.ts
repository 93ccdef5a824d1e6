import { expect, test } from '@playwright/test';
import { at, type Entities, type Json } from '../web/src/builder/edit';
import { screensOf } from '../web/src/builder/document';
import { addCase } from '../web/src/builder/sentence/cases';
import { repoint } from '../web/src/builder/sentence/repoint';
import { makeOwn, makeShared, sharedGatesOf } from '../web/src/builder/sentence/shared';
import { namesOf, takeOut, type WayRef } from '../web/src/builder/sentence/wiring';
import { pathOf } from '../web/src/builder/owner';
import { isKeys } from '../web/src/screen/keys';

// What the sentence's pickers do to the document, without a browser.

const record = (table: string, more: Record<string, Json> = {}): Json => ({ pos: 1, alias: 'it', label: 'It', type: 'record', table, ...more });

function project(gate: Json): Entities {
  return {
    t_x: { kind: 'table', label: 'Exes', one: 'ex', fields: {} },
    t_y: { kind: 'table', label: 'Whys', one: 'why', fields: {} },
    s_form: {
      kind: 'screen', type: 'form', title: 'Form', slug: 'form', record: 'i_x', inputs: { i_x: record('t_x', { required: true }), i_n: { pos: 2, alias: 'n', label: 'N', type: 'text' } },
      elements: { e_a: { kind: 'button', words: 'Go', gate } },
    },
    s_list: { kind: 'screen', type: 'list', title: 'List', slug: 'list', inputs: { i_l: record('t_x') }, elements: { e_l: { kind: 'list', table: 't_y', menu: { m_1: { pos: 1, words: 'One', gate: {} } } } } },
    ra_1: { kind: 'rail', name: 'Rail', elements: { e_r: { kind: 'button', words: 'Rail' } } },
  };
}

const ref = (entities: Entities, more: Partial<WayRef> = {}): WayRef => {
  const own = ['s_form', 'elements', 'e_a', 'gate'];
  return { project: 'x', entities, screen: 's_form', element: 'e_a', trigger: 'release', at: own, wiring: own, ...more };
};

/** Applies operations to a copy: enough of JSON Patch for what is made here. */
function apply(entities: Entities, ops: { op: string; path: string; value?: unknown }[]): Entities {
  const next = structuredClone(entities);
  for (const op of ops) {
    const names = namesOf(op.path);
    const last = names.pop() ?? '';
    let here = next as Record<string, Json>;
    for (const n of names) here = here[n] as Record<string, Json>;
    if (op.op === 'test') expect(here[last]).toEqual(op.value);
    else if (op.op === 'remove') delete here[last];
    else here[last] = op.value as Json;
  }
  return next;
}

const own = {
  while: 'record.f_state == "open" && inputs.i_n != null && recorder == 1',
  otherwise: { grey: '{record.f_code} is shut' },
  cases: {
    c_1: {
      pos: 1,
      move: {
        kind: 'screen', target: 's_list',
        bind: { i_l: { rule: 'this', none: 'grey', reason: 'None.' }, i_2: { rule: 'parent', path: 'f_up' }, i_3: { rule: 'child', table: 't_y', path: 'f_x' }, i_4: { rule: 'expression', value: 'record.f_n + 1' } },
      },
    },
  },
};

test('a gate that is shared speaks of its inputs only, and back again of the screen', () => {
  const before = project(own);
  const shared = apply(before, makeShared(ref(before), 'Go there'));
  const [gate] = sharedGatesOf(shared);
  expect(gate?.name).toBe('Go there');
  const id = gate?.id ?? '';
  const body = shared[id] as Record<string, Json>;
  expect(at(body, ['gate', 'while'])).toBe('inputs.i_record.f_state == "open" && inputs.i_n != null && recorder == 1');
  expect(at(body, ['gate', 'otherwise', 'grey'])).toBe('{inputs.i_record.f_code} is shut');
  const bind = at(body, ['gate', 'cases', 'c_1', 'move', 'bind']);
  expect(bind).toEqual({
    i_l: { rule: 'input', value: 'i_record', none: 'grey', reason: 'None.' },
    i_2: { rule: 'parent', path: 'f_up', from: 'i_record' },
    i_3: { rule: 'child', table: 't_y', path: 'f_x', from: 'i_record' },
    i_4: { rule: 'expression', value: 'inputs.i_record.f_n + 1' },
  });
  expect(at(body, ['inputs', 'i_record'])).toMatchObject({ alias: 'ex', type: 'record', table: 't_x', required: true });
  expect(at(shared, ['s_form', 'elements', 'e_a', 'gate'])).toEqual({ use: id, give: { i_record: { rule: 'this' }, i_n: { rule: 'input', value: 'i_n' } } });
  const back = makeOwn(ref(shared, { shared: id, wiring: [id, 'gate'] }));
  expect(back.problem).toBeUndefined();
  expect(at(apply(shared, back.ops), ['s_form', 'elements', 'e_a', 'gate'])).toEqual(own);
});

test('what only a shared gate can ask for is said instead of lost', () => {
  const entities: Entities = { ...project({ use: 'g_1', give: { i_g: { rule: 'picked', table: 't_x' } } }), g_1: { kind: 'gate', name: 'One', inputs: { i_g: record('t_x') }, gate: { while: 'inputs.i_g.f_n > 1' } } };
  const back = makeOwn(ref(entities, { shared: 'g_1', wiring: ['g_1', 'gate'] }));
  expect(back.ops).toEqual([]);
  expect(back.problem).toContain('Change that first.');
});

test('all ways to a screen lead elsewhere, with what they bring', () => {
  const entities = project(own);
  const [form, list] = ['s_form', 's_list'].map((id) => screensOf(entities).find((s) => s.id === id));
  if (!form || !list) throw new Error('the screens are there');
  const plan = repoint(entities, list, form);
  expect(plan.ways).toBe(1);
  const move = at(apply(entities, plan.ops), ['s_form', 'elements', 'e_a', 'gate', 'cases', 'c_1', 'move']);
  expect(move).toEqual({ kind: 'screen', target: 's_form', bind: { i_x: { rule: 'this', none: 'grey', reason: 'None.' } } });
  expect(repoint(entities, form, list).ways).toBe(0);
});

test('a further case stands before the one for every other', () => {
  const entities = project({ cases: { c_1: { pos: 1, when: 'a' }, c_2: { pos: 2 } } });
  const [op] = addCase(ref(entities), 'b');
  expect(op?.value).toEqual({ pos: 1.5, when: 'b' });
  const [first] = addCase(ref(project({})), 'b');
  expect(JSON.stringify(first?.value)).toContain('"when":"b"');
});

test('a way is taken out: an entry of a menu whole, of a button its gate', () => {
  const entities = project(own);
  expect(takeOut(ref(entities)).at(-1)).toEqual({ op: 'remove', path: '/s_form/elements/e_a/gate' });
  const entry = ref(entities, { trigger: 'menu.m_1', at: ['s_list', 'elements', 'e_l', 'menu', 'm_1', 'gate'] });
  expect(takeOut(entry).at(-1)).toEqual({ op: 'remove', path: '/s_list/elements/e_l/menu/m_1' });
  expect(pathOf(entities, 's_form', 'e_a')).toEqual(['s_form', 'elements', 'e_a']);
  expect(pathOf(entities, 's_form', 'e_r')).toEqual(['ra_1', 'elements', 'e_r']);
  expect(pathOf(entities, 's_form', 'e_none')).toBeUndefined();
});

test('shortcuts are told apart by what is held', () => {
  const key = (k: string, held: Partial<KeyboardEvent> = {}) => ({ key: k, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...held }) as KeyboardEvent;
  expect(isKeys(key('e', { altKey: true }), 'Alt+E')).toBe(true);
  expect(isKeys(key('e'), 'Alt+E')).toBe(false);
  expect(isKeys(key('E', { ctrlKey: true, shiftKey: true }), 'Ctrl+Shift+E')).toBe(true);
  expect(isKeys(key('e', { ctrlKey: true }), 'Ctrl+Shift+E')).toBe(false);
  expect(isKeys(key('F8'), 'F8')).toBe(true);
});
