import { expect, test } from 'vitest';
import type { WalkResult, WalkTold } from '../../../api/client';
import type { Document, WalkStep } from '../../../document/document.gen';
import { lineOf, posAfter, screenAt, standingOf, stepMoved, stepPut, stepState, watchedIn } from './walks';

const walk: WalkTold = {
  id: 'wk_a',
  name: 'A',
  who: 'Mira, Technician',
  steps: ['w_1', 'w_2', 'w_3'].map((id) => ({ id, does: 'press', words: id })),
};
const step = (id: string) => ({ id, words: id, stands: 'Board', screen: 's_board' });
const kept: WalkResult = { walk: 'wk_a', name: 'A', steps: [step('w_1'), step('w_2'), step('w_3')] };
const differs: WalkResult = {
  ...kept,
  steps: [step('w_1')],
  differs: { step: 'w_2', words: 'w_2', expected: 'a', found: 'b' },
};

test('a walk says how it stands', () => {
  expect(lineOf(walk, undefined, false)).toBe('3 steps, not gone yet');
  expect(lineOf(walk, undefined, true)).toBe('3 steps, on its way …');
  expect(lineOf(walk, kept, false)).toBe('3 steps, as expected');
  expect(lineOf(walk, differs, false)).toBe('differs at 2 of 3');
  expect(lineOf(walk, { ...differs, differs: { step: '', words: '', expected: '', found: '' } }, false)).toBe(
    'cannot be begun',
  );
  expect(standingOf(differs, true)).toBe('differs');
});

test('steps before the difference are done, those behind it were not reached', () => {
  expect(walk.steps.map((s) => stepState(s.id, differs))).toEqual(['done', 'differs', 'ahead']);
  expect(walk.steps.map((s) => stepState(s.id, undefined))).toEqual(['ahead', 'ahead', 'ahead']);
});

test('a step changes places with its neighbour, and goes no further than the ends', () => {
  const steps = { w_1: { pos: 1, does: 'go', to: 'home' }, w_2: { pos: 5, does: 'go', to: 'back' } };
  const document = {
    wk_a: { kind: 'walk', pos: 1, name: 'A', who: { name: 'M', roles: {} }, steps },
  } as unknown as Document;
  expect(stepMoved(document, 'wk_a', 'w_1', 1)).toEqual([
    { op: 'test', path: '/wk_a/steps/w_1/pos', value: 1 },
    { op: 'replace', path: '/wk_a/steps/w_1/pos', value: 5 },
    { op: 'test', path: '/wk_a/steps/w_2/pos', value: 5 },
    { op: 'replace', path: '/wk_a/steps/w_2/pos', value: 1 },
  ]);
  expect(stepMoved(document, 'wk_a', 'w_1', -1)).toEqual([]);
  expect(stepMoved(document, 'wk_a', 'w_2', 1)).toEqual([]);
});

const three = {
  w_1: { does: 'open', pos: 1, screen: 's_a' },
  w_2: { does: 'press', pos: 2, element: 'e' },
  w_3: { does: 'claim', is: 'at', pos: 4, screen: 's_b' },
} satisfies Record<string, WalkStep>;

const toldThree: WalkTold = {
  id: 'wk',
  name: 'A walk',
  who: 'Mira',
  steps: Object.entries(three).map(([id, s]) => ({ id, does: s.does, words: id })),
};

test('a step is put in before all, between two, and behind all', () => {
  expect(posAfter(three, '')).toBe(0.5);
  expect(posAfter(three, 'w_1')).toBe(1.5);
  expect(posAfter(three, 'w_2')).toBe(3);
  expect(posAfter(three, 'w_3')).toBe(5);
  expect(posAfter({}, '')).toBe(1);
});

test('a step is put at where one stands: as it was gone, else as the steps before say', () => {
  const gone: WalkResult = {
    walk: 'wk',
    name: 'A walk',
    steps: [{ id: 'w_2', words: '', stands: '', screen: 's_gone' }],
  };
  expect(screenAt(toldThree, three, gone, 'w_2')).toBe('s_gone');
  expect(screenAt(toldThree, three, undefined, 'w_2')).toBe('s_a');
  expect(screenAt(toldThree, three, undefined, 'w_3')).toBe('s_b');
  expect(screenAt(toldThree, three, undefined, '')).toBe('');
});

test('the walk and the step that is drawn stand in the address', () => {
  expect(watchedIn(undefined)).toEqual({ walk: undefined, step: undefined });
  expect(watchedIn('wk_a')).toEqual({ walk: 'wk_a', step: undefined });
  expect(watchedIn('wk_a~')).toEqual({ walk: 'wk_a', step: '' });
  expect(watchedIn('wk_a~w_2')).toEqual({ walk: 'wk_a', step: 'w_2' });
});

test('a step that is put otherwise is tested for what it was', () => {
  const d = {
    wk: { kind: 'walk', pos: 1, name: 'A walk', who: { name: 'Mira', roles: {} }, steps: three },
  } as Document;
  const ops = stepPut(d, 'wk', 'w_2', { does: 'go', to: 'home', pos: 2 });
  expect(ops.map((o) => [o.op, o.path])).toEqual([
    ['test', '/wk/steps/w_2'],
    ['replace', '/wk/steps/w_2'],
  ]);
  expect(stepPut(d, 'wk', 'w_9', { does: 'go', to: 'home', pos: 9 }).map((o) => o.op)).toEqual(['add']);
});
