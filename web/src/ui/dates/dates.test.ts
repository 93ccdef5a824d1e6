import { expect, test } from 'vitest';
import { dayIn, momentIn, saidIn } from './dates';

const today = '2026-11-29'; // a Sunday

test('days are read as a language writes them', () => {
  for (const [typed, language, day] of [
    ['2026-03-05', 'en', '2026-03-05'],
    ['5 Mar 2026', 'en', '2026-03-05'],
    ['March 5', 'en', '2026-03-05'],
    ['5/3/2026', 'en', '2026-03-05'],
    ['5.3.26', 'de', '2026-03-05'],
    ['5. März 2026', 'de', '2026-03-05'],
    ['05.03.', 'de', '2026-03-05'],
    ['5 mars 2026', 'fr', '2026-03-05'],
    ['29 feb 2028', 'en', '2028-02-29'],
  ] as const)
    expect(dayIn(typed, language, today), typed).toBe(day);
});

test('days near today have words', () => {
  for (const [typed, language, day] of [
    ['today', 'en', '2026-11-29'],
    ['Tomorrow', 'en', '2026-11-30'],
    ['gestern', 'de', '2026-11-28'],
    ['today', 'de', '2026-11-29'],
    ['+7', 'en', '2026-12-06'],
    ['-1', 'en', '2026-11-28'],
    ['monday', 'en', '2026-11-30'],
    ['So', 'de', '2026-12-06'],
  ] as const)
    expect(dayIn(typed, language, today), typed).toBe(day);
});

test('what is no day is none', () => {
  for (const typed of ['', 'soon', '31 Feb 2026', '2026-13-01', '5', '1/2/3/4', '99/99/2026', '5 Foo 2026', '12 hours'])
    expect(dayIn(typed, 'en', today), typed).toBeUndefined();
});

test('moments have a time behind the day', () => {
  expect(momentIn('5 Mar 2026 14:30', 'en', today)).toBe('2026-03-05T14:30');
  expect(momentIn('today 8:05', 'en', today)).toBe('2026-11-29T08:05');
  expect(momentIn('05.03.2026', 'de', today)).toBe('2026-03-05T00:00');
  expect(momentIn('2026-11-20T08:30', 'en', today)).toBe('2026-11-20T08:30');
  expect(momentIn('today 25:00', 'en', today)).toBeUndefined();
  expect(momentIn('noon', 'en', today)).toBeUndefined();
});

test('what is kept is said as it is written, and read again to the same', () => {
  expect(saidIn('2026-03-05', 'en')).toBe('5 Mar 2026');
  expect(saidIn('2026-03-05T14:30', 'de')).toBe('05.03.2026 14:30');
  expect(saidIn('soon', 'en')).toBe('soon');
  for (const language of ['en', 'de', 'fr', 'it', 'es', 'nl', 'pl', 'cs', 'sv', 'da', 'pt'])
    expect(dayIn(saidIn('2026-09-08', language), language, today), language).toBe('2026-09-08');
});
