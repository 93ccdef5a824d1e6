import { expect, test } from 'vitest';
import type { ChangeTold, ReleaseTold } from '../../../api/client';
import { byEntity, comparedIn, contentWords, listed, moment, plainlyMade, usedBy } from './releases';

const change = (entity: string, by: string[] = []): ChangeTold => ({
  entity,
  kind: 'screen',
  name: entity,
  how: 'changed',
  thing: 'the screen',
  at: `/${entity}`,
  paths: [],
  head: 'The title',
  sentence: 'The title.',
  by,
});

const release = (more: Partial<ReleaseTold>): ReleaseTold => ({
  number: 3,
  by: 'Bea',
  at: '2026-11-29T10:00:00Z',
  note: '',
  use: 'past',
  for: [],
  accepted: [],
  ...more,
});

test('changes of one entity stand together, with everybody who made them', () => {
  const of = byEntity([change('s_b', ['Bea']), change('s_a', ['Cem']), change('s_b', ['Cem', 'Bea'])]);
  expect(of.map((e) => [e.entity, e.changes.length, e.by])).toEqual([
    ['s_b', 2, ['Bea', 'Cem']],
    ['s_a', 1, ['Cem']],
  ]);
});

test('what is only new is told in a line by kind, where it is much', () => {
  const made = (n: number) => Array.from({ length: n }, (_, i) => ({ ...change(`s_${i}`), how: 'made' as const }));
  const few = byEntity([...made(3), change('s_x')]);
  expect(plainlyMade(few)).toEqual({ made: [], others: few });
  const { made: lines, others } = plainlyMade(byEntity([...made(9), change('s_x')]));
  expect(lines.map(([kind, names]) => [kind, names.length])).toEqual([['screen', 9]]);
  expect(others.map((e) => e.entity)).toEqual(['s_x']);
});

test('the draft is compared with what anybody uses, a release with the one before', () => {
  expect(comparedIn(undefined, { released: 4, changes: 2 })).toEqual({ from: 4 });
  expect(comparedIn('', { released: 4, trial: 6, changes: 1 })).toEqual({ from: 6 });
  expect(comparedIn('5', { released: 6, changes: 0 })).toEqual({ from: 4, to: 5 });
  expect(comparedIn('5~2', { released: 6, changes: 0 })).toEqual({ from: 2, to: 5 });
  expect(comparedIn('~2', { released: 6, changes: 0 })).toEqual({ from: 2 });
  expect(comparedIn('', { released: 6, changes: 0 })).toEqual({ from: 5, to: 6 });
  expect(comparedIn('', { released: 0, changes: 0 })).toEqual({ from: 0 });
});

test('who uses a release is said', () => {
  expect(usedBy(release({ use: 'all' }))).toBe('in use');
  expect(usedBy(release({ use: 'some', for: ['Shift lead', 'Mira Holt'] }))).toBe('first for Shift lead and Mira Holt');
  expect(usedBy(release({ for: ['Office'] }))).toBe('was first for Office');
  expect(usedBy(release({ forAllAt: '2026-11-29T10:00:00Z' }))).toBe('not in use any more');
  expect(listed(['a', 'b', 'c'])).toBe('a, b and c');
});

test('what it came with is said', () => {
  expect(contentWords(release({ changes: 1 }))).toBe('1 change');
  expect(contentWords(release({ changes: 4 }))).toBe('4 changes');
  expect(contentWords(release({ copyOf: 2 }))).toBe('release 2 again');
});

test('a moment of today is its time', () => {
  const now = new Date(2026, 10, 29, 12, 0);
  expect(moment(new Date(2026, 10, 29, 9, 5).toISOString(), now)).toMatch(/^today, 0?9:05/);
  expect(moment(new Date(2026, 10, 24, 9, 5).toISOString(), now)).not.toMatch(/today|2026/);
  expect(moment(new Date(2025, 10, 24, 9, 5).toISOString(), now)).toMatch(/2025/);
});
