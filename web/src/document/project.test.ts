import { expect, test } from 'vitest';
import { isReleasable } from './project';

test('what was never released can be, edited or not; after that only changes', () => {
  expect(isReleasable({ released: 0, changes: 0 })).toBe(true);
  expect(isReleasable({ released: 3, changes: 0 })).toBe(false);
  expect(isReleasable({ released: 3, changes: 1 })).toBe(true);
});
