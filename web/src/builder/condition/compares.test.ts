import { describe, expect, test } from 'vitest';
import type { NameInfo } from '../../api/client';
import { comparesFor, freshRow, isComplete, withCompare } from './compares';

const name = (type: string, more: Partial<NameInfo> = {}): NameInfo => ({
  path: 'record.x',
  words: 'x',
  type,
  of: 'this record',
  kind: 'field',
  ...more,
});
const words = (n: NameInfo) => comparesFor(n).map(([, w]) => w);

describe('comparisons', () => {
  test('fit the type', () => {
    expect(words(name('date'))).toContain('is on or before');
    expect(words(name('decimal'))).toContain('is at least');
    expect(words(name('record'))).toEqual(['is', 'is not', 'is empty', 'is not empty']);
    expect(words(name('yesno'))).toContain('does not hold');
    expect(words(name('text', { choices: ['a'] }))).toContain('is less than'); // choices have an order
    expect(words(name('text'))).not.toContain('is less than');
    expect(words(name('number', { kind: 'live' }))).toContain('is available');
    expect(words(name('yesno', { kind: 'shared' }))).toEqual(['holds', 'does not hold']);
    expect(words(name('roles', { kind: 'roles' }))).toEqual(['is', 'is not']);
  });

  test('that are changed keep the value where it fits', () => {
    const row = { path: 'record.state', compare: 'is', value: 'open' };
    expect(withCompare(row, 'in')).toEqual({ path: 'record.state', compare: 'in', values: ['open'] });
    expect(withCompare({ path: 'record.state', compare: 'in', values: ['open', 'closed'] }, 'is').value).toBe('open');
    expect(withCompare(row, 'empty')).toEqual({ path: 'record.state', compare: 'empty' });
  });

  test('without a value are not finished', () => {
    expect(isComplete({ path: 'record.state', compare: 'is', value: '' })).toBe(false);
    expect(isComplete({ path: 'record.state', compare: 'in', values: [] })).toBe(false);
    expect(isComplete({ path: 'record.state', compare: 'is', with: 'record.other' })).toBe(true);
    expect(isComplete({ group: { mode: 'any', rows: [{ path: 'a', compare: 'is', value: '' }] } })).toBe(false);
  });

  test('begin with what is compared most', () => {
    expect(freshRow(name('date', { path: 'record.due' }))).toEqual({
      path: 'record.due',
      compare: 'atMost',
      value: 'today()',
    });
  });
});
