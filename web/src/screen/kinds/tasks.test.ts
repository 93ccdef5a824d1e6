import { expect, test } from 'vitest';
import { begunWords } from './tasks';

test('where a task stands, and since when, is said in words', () => {
  const now = new Date('2026-05-04T10:00:00').getTime();
  const said = (minutes: number) => begunWords({ step: 2, of: 3, since: now - minutes * 60_000 }, 'en', now);
  expect(said(0)).toBe('step 2 of 3, just now');
  expect(said(5)).toBe('step 2 of 3, 5 minutes ago');
  expect(said(130)).toBe('step 2 of 3, 2 hours ago');
  expect(said(20 * 60)).toBe('step 2 of 3, yesterday');
  expect(begunWords({ since: now - 3 * 24 * 3_600_000 }, 'en', now)).toBe('3 days ago');
});
