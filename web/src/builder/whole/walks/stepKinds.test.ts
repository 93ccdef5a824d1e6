import { expect, test } from 'vitest';
import type { Document, WalkStep } from '../../../document/document.gen';
import { aimsOn, has, kindOf, missing, named, stepKinds, stepOf } from './stepKinds';

const d = {
  s_list: {
    kind: 'screen',
    type: 'list',
    title: 'Cabins',
    slug: 'cabins',
    elements: {
      e_list: {
        kind: 'list',
        pos: 2,
        cell: { col: 1, row: 1, w: 12 },
        table: 't_c',
        columns: {},
        menu: { m_1: { pos: 1, words: 'Its lift' } },
      },
      e_go: { kind: 'button', pos: 1, cell: { col: 1, row: 2, w: 2 }, words: 'Go' },
    },
    ways: { w_1: { pos: 1, trigger: 'keys', keys: 'Ctrl+E' }, w_2: { pos: 2, trigger: 'entered' } },
  },
  t_c: { kind: 'table', source: 'so', relation: 'c', label: 'Cabins', one: 'cabin', key: [], title: '', fields: {} },
  ra_1: {
    kind: 'rail',
    pos: 1,
    name: 'Main',
    edge: 'left',
    placed: {},
    elements: { e_home: { kind: 'button', pos: 1, cell: { col: 1, row: 1, w: 12 }, words: 'Start' } },
  },
} as unknown as Document;

test('each kind of step is made with what it needs to begin with, and says what is missing', () => {
  for (const [kind] of stepKinds) {
    const step = stepOf(kind, 's_list', 3);
    expect(kindOf(step)).toBe(kind);
    expect(step.pos).toBe(3);
  }
  const whole = ['go', 'wait', 'open', 'open.refused', 'look', 'claim.at'];
  expect(
    stepKinds
      .filter(([k]) => missing(stepOf(k, 's_list', 1)) === undefined)
      .map(([k]) => k)
      .sort(),
  ).toEqual(whole.sort());
});

test('a step is whole when all its parts are there', () => {
  const step = (more: Partial<WalkStep>): WalkStep => ({ pos: 1, does: 'claim', ...more });
  expect(missing(step({ is: 'greyed', screen: 's', element: 'e' }))).toBeUndefined();
  expect(missing(step({ is: 'rows', screen: 's', element: 'e', count: -1 }))).toBe('say how many');
  expect(missing(step({ is: 'reads', screen: 's', element: 'e' }))).toBe('say the words');
  expect(missing({ pos: 1, does: 'wait', seconds: 90_000 })).toBe('a wait is 1 second to a day');
  expect(missing({ pos: 1, does: 'choose', screen: 's', element: 'e', row: { title: '' } })).toBe('say which row');
  expect(has('claim.at', 'inputs')).toBe(true);
  expect(has('wait', 'screen')).toBe(false);
  expect([named(undefined), named({}), named({ where: 'true' })]).toEqual([false, false, true]);
});

test('what can be pressed is named, with its triggers, rails too', () => {
  expect(aimsOn(d, 's_list').map((a) => [a.id, a.words, a.rail, a.triggers.map(([id]) => id)])).toEqual([
    ['e_go', 'button “Go”', false, []],
    ['e_list', 'the list of cabins', false, ['', 'menu.m_1']],
    ['w_1', 'the keys Ctrl+E', false, ['keys']],
    ['e_home', 'button “Start”', true, []],
  ]);
});
