import { expect, test } from 'vitest';
import type { Document } from '../document/document.gen';
import { found } from './choices';
import { allThings, type Command, deepThings, peopleOf } from './finding';

const d = {
  s_list: {
    kind: 'screen',
    type: 'list',
    title: 'Defects',
    slug: 'defects',
    area: 'Workshop',
    elements: {
      e_new: {
        kind: 'button',
        pos: 1,
        words: 'Report a defect',
        gate: { shared: 'g_1' },
        cell: { row: 1, col: 1, w: 2 },
      },
      e_list: {
        kind: 'list',
        pos: 2,
        table: 't_defects',
        label: 'All of them',
        columns: {},
        cell: { row: 2, col: 1, w: 12 },
      },
    },
  },
  s_form: { kind: 'screen', type: 'form', title: 'Defect', slug: 'defect', elements: {} },
  t_defects: {
    kind: 'table',
    label: 'Defects',
    one: 'defect',
    fields: { f_state: { pos: 1, label: 'State', alias: 'state', type: 'text' } },
  },
  g_1: { kind: 'gate', name: 'report something', cases: {} },
  ra_1: {
    kind: 'rail',
    pos: 1,
    name: 'Main',
    edge: 'left',
    elements: { e_home: { kind: 'button', pos: 1, words: 'Start', cell: { row: 1, col: 1, w: 12 } } },
  },
  v_1: { kind: 'variable', pos: 1, label: 'My lift', alias: 'my_lift', type: 'text' },
  tg_1: { kind: 'tag', pos: 1, label: 'Wind', alias: 'wind', type: 'number', source: 'so_p', node: '/wind' },
  eq_1: {
    kind: 'equipment',
    table: 't_defects',
    source: 'so_p',
    parts: {
      q_1: {
        pos: 1,
        alias: 'drive',
        label: 'drive',
        tags: { g_1: { pos: 1, alias: 'speed', label: 'speed', type: 'number', node: 'x' } },
      },
    },
  },
} as unknown as Document;

const release: Command = { id: 'do.release', words: 'release', key: undefined, does: () => {} };

const looked = (words: string) =>
  [...found(allThings(d, [release]), words), ...found(deepThings(d), words)].map((c) => c.id);

test('screens, tables, values and commands are found by their words', () => {
  expect(looked('defects')).toEqual(expect.arrayContaining(['s_list', 't_defects']));
  expect(looked('wind')).toEqual(['tg_1']);
  expect(looked('drive speed')).toEqual(['eq_1.q_1.g_1']);
  expect(looked('my lift')).toEqual(['v_1']);
  expect(looked('release')).toEqual(['do.release']);
  expect(looked('workshop')).toEqual(['s_list']);
});

test('elements, fields and shared gates are found with where they are', () => {
  const all = deepThings(d);
  const by = (id: string) => all.find((c) => c.id === id);
  expect(by('s_list.e_new')).toMatchObject({ words: 'Report a defect', screen: 's_list', element: 'e_new' });
  expect(by('s_list.e_list')).toMatchObject({ words: 'All of them', note: 'list on Defects' });
  expect(by('t_defects.f_state')).toMatchObject({ words: 'State', page: 't_defects' });
  expect(by('ra_1.e_home')).toMatchObject({ words: 'Start', note: 'on the rail Main' });
  expect(by('g_1')).toMatchObject({ words: 'report something', screen: 's_list', element: 'e_new' });
});

test('ways are found by where they lead, and people by their names', () => {
  const led = structuredClone(d) as Document & { s_list: { elements: { e_new: { gate: object } } } };
  led.s_list.elements.e_new.gate = { cases: { c_1: { pos: 1, move: { kind: 'screen', target: 's_form' } } } };
  const way = found(deepThings(led), 'leads to defect')[0];
  expect(way).toMatchObject({ words: '“Report a defect” leads to Defect', screen: 's_list', element: 'e_new' });
  const walked: string[] = [];
  const people = peopleOf(
    [
      { id: 'a_mira', name: 'Mira Holt', roles: ['Technician'] },
      { id: 'a_new', name: 'Nobody yet', roles: [] },
    ],
    (as) => walked.push(as),
  );
  expect(people.map((p) => p.note)).toEqual(['walk as technician']);
  people[0]?.does?.();
  expect(walked).toEqual(['a_mira']);
});

test('a screen comes before what only stands on it', () => {
  expect(looked('defect')[0]).toBe('s_form');
});
