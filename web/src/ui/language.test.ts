import { expect, test } from 'vitest';
import { written } from './language';

test('numbers and dates are written as a language does', () => {
  const day = new Date('2026-11-03T00:00:00Z');
  const how: Intl.DateTimeFormatOptions = { day: 'numeric', month: 'short', timeZone: 'UTC' };
  const en = written('en');
  expect([en.count(12345), en.amount(12.34), en.fixed(2, 1), en.point(), en.day(day, how)]).toEqual([
    '12,345',
    '12.3',
    '2.0',
    '.',
    '3 Nov',
  ]);
  const de = written('de');
  expect([de.count(12345), de.amount(12.34), de.fixed(1234.5, 1), de.point(), de.day(day, how)]).toEqual([
    '12.345',
    '12,3',
    '1234,5',
    ',',
    '3. Nov.',
  ]);
});
