import { expect, test } from 'vitest';
import { isKeys } from './keys';

const key = (k: string, held: Partial<Parameters<typeof isKeys>[0]> = {}) => ({
  key: k,
  ctrlKey: false,
  metaKey: false,
  altKey: false,
  shiftKey: false,
  ...held,
});

test('shortcuts are told apart by what is held', () => {
  expect(isKeys(key('e', { altKey: true }), 'Alt+E')).toBe(true);
  expect(isKeys(key('e'), 'Alt+E')).toBe(false);
  expect(isKeys(key('E', { ctrlKey: true, shiftKey: true }), 'Ctrl+Shift+E')).toBe(true);
  expect(isKeys(key('e', { ctrlKey: true }), 'Ctrl+Shift+E')).toBe(false);
  expect(isKeys(key('F8'), 'F8')).toBe(true);
});
