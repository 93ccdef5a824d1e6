import { expect, test } from 'vitest';
import { lookOf } from './appearance';

test('the project’s wish for a kind of screen comes first, then the user’s, then the system’s', () => {
  expect(lookOf('system', true)).toBe('dark');
  expect(lookOf('system', false)).toBe('light');
  expect(lookOf('light', true)).toBe('light');
  expect(lookOf('dark', false)).toBe('dark');
  expect(lookOf('dark', true, 'light')).toBe('light');
});
