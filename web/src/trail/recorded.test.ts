import { expect, test } from 'vitest';
import type { Practised, PressRequest } from '../api/client';
import { begun, keptSteps, looked, pressed, seen, went } from './recorded';

const request = (more: Partial<PressRequest>): PressRequest => ({
  press: 'p',
  trail: '',
  n: 0,
  release: 0,
  element: 'e_go',
  values: {},
  base: {},
  ...more,
});
const moved = (screen: string, inputs = {}): Practised => ({
  kind: 'moved',
  journal: '',
  place: { screen, mode: 'view', inputs },
});
const board = { screen: 's_board', mode: 'view', inputs: {} };

test('where it begins is opened; what is pressed and where that leads follow', () => {
  let r = seen(begun, board);
  r = pressed(r, request({}), board, moved('s_list', { i_by: '7', i_none: '' }));
  r = seen(r, board); // it stands there until the next is drawn
  r = seen(r, { screen: 's_list', mode: 'view', inputs: { i_by: '7' } });
  expect(r.steps).toEqual([
    { does: 'open', screen: 's_board' },
    { does: 'press', screen: 's_board', element: 'e_go' },
    { does: 'claim', is: 'at', screen: 's_list', inputs: { i_by: { key: '7' }, i_none: { key: '' } } },
  ]);
});

test('what is typed is a step before the press that takes it along, once', () => {
  const form = { screen: 's_form', mode: 'edit', inputs: { i_it: '1' } };
  let r = seen(begun, form);
  r = pressed(r, request({ values: { f_a: 'x' } }), form, { kind: 'stayed' });
  r = pressed(r, request({ values: { f_a: 'x', f_b: 'y' }, confirmed: true, unsaved: 'save' }), form, moved('s_list'));
  expect(r.steps.map((s) => [s.does, s.values ?? s.yes])).toEqual([
    ['open', undefined],
    ['type', { f_a: 'x' }],
    ['press', undefined],
    ['type', { f_b: 'y' }],
    ['press', true],
    ['claim', undefined],
  ]);
});

test('going back claims where it came to; what the builder opens by itself is opened by the walk', () => {
  let r = pressed(seen(begun, board), request({}), board, { kind: 'moved' });
  r = seen(r, { screen: 's_list', mode: 'view' });
  r = seen(r, { screen: 's_other', mode: 'add', inputs: {} });
  expect(r.steps.slice(2)).toEqual([
    { does: 'claim', is: 'at', screen: 's_list' },
    { does: 'open', screen: 's_other', mode: 'add' },
  ]);
});

test('where one came to along the trail is claimed, the same screen too', () => {
  const r = seen(went(seen(begun, board), 'back'), board);
  expect(r.steps.slice(1)).toEqual([
    { does: 'go', to: 'back' },
    { does: 'claim', is: 'at', screen: 's_board' },
  ]);
});

test('a list that is looked at otherwise is one step, however often it is changed before something else', () => {
  const list = { screen: 's_list', mode: 'view' };
  const filter = { path: 'f_state', compare: 'is', value: 'open' };
  let r = looked(seen(begun, list), { ...list, find: 'ca' });
  r = looked(r, { ...list, find: 'cab', filters: [filter], sort: [{ path: 'f_no', desc: true }] });
  expect(r.steps.slice(1)).toEqual([
    {
      does: 'look',
      screen: 's_list',
      find: 'cab',
      filters: { f_1: { ...filter, pos: 1 } },
      sort: { o_1: { path: 'f_no', desc: true, pos: 1 } },
    },
  ]);
  r = looked(pressed(r, request({}), list, { kind: 'stayed' }), list);
  expect(r.steps.at(-1)).toEqual({ does: 'look', screen: 's_list' });
});

test('steps are kept in their order', () => {
  const steps = keptSteps([
    { does: 'go', to: 'home' },
    { does: 'go', to: 'back' },
  ]);
  expect(Object.entries(steps)).toEqual([
    ['w_001', { does: 'go', to: 'home', pos: 1 }],
    ['w_002', { does: 'go', to: 'back', pos: 2 }],
  ]);
});
