import { expect, test } from 'vitest';
import type { WalkResult, WalkTold } from '../../../api/client';
import type { Document } from '../../../document/document.gen';
import { lineOf, standingOf, stepMoved, stepState } from './walks';

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
