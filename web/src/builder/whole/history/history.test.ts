import { expect, test } from 'vitest';
import type { EditTold } from '../../../api/client';
import { askedIn, byDay, fateOf, itemOf } from './history';

const edit = (at: string, more: Partial<EditTold> = {}): EditTold => ({
  seq: 1,
  by: 'Bea',
  account: 'a_bea',
  at,
  changes: [],
  more: 0,
  patch: [],
  ...more,
});

test('what is asked is written into the address and read from it', () => {
  for (const item of [
    'history',
    'history~s_a',
    'history~~a_bea',
    'history~s_a~~b12',
    'history~s_a~a_bea~t2026-11-24T10:00',
  ]) {
    expect(itemOf(askedIn(item))).toBe(item);
  }
  expect(askedIn('history~s_a~~b12').past).toEqual({ before: 12 });
  expect(askedIn('history~s_a~~tnever').past).toBeUndefined();
});

test('edits stand under their days', () => {
  const days = byDay([edit('2026-11-24T12:00:00Z'), edit('2026-11-24T11:00:00Z'), edit('2026-11-20T12:00:00Z')]);
  expect(days.map(([, of]) => of.length)).toEqual([2, 1]);
});

test('what became of an edit is said', () => {
  expect(fateOf(edit(''))).toBe('');
  expect(fateOf(edit('', { release: 3 }))).toBe('in release 3');
  expect(fateOf(edit('', { release: 3, undone: 9 }))).toBe('taken back since');
  expect(fateOf(edit('', { undoes: 2 }))).toBe('takes an edit back');
});
