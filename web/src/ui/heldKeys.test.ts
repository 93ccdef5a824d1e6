import { expect, test } from 'vitest';
import { isStillHeld, type Writing } from './heldKeys';

const held = (key: string, writing?: Writing, with_: Partial<Record<'ctrlKey' | 'altKey' | 'repeat', boolean>> = {}) =>
  isStillHeld({ key, repeat: true, ctrlKey: false, metaKey: false, altKey: false, ...with_ }, writing);

test('a key that goes down presses', () => {
  for (const key of ['Enter', ' ', 'F8', 'n', 'ArrowDown']) expect(held(key, undefined, { repeat: false })).toBe(false);
});

test('a key that is held presses once', () => {
  for (const key of ['Enter', ' ', 'F8', 'Escape', 'n']) expect(held(key)).toBe(true);
  expect(held('k', undefined, { ctrlKey: true })).toBe(true);
  expect(held('ArrowLeft', undefined, { altKey: true })).toBe(true); // back, along the trail
});

test('going along goes on while a key is held', () => {
  for (const key of ['ArrowDown', 'PageUp', 'Tab', 'Home', 'End']) expect(held(key)).toBe(false);
});

test('so does writing, but what Enter sends is sent once', () => {
  for (const key of ['n', ' ', 'Backspace', 'ArrowLeft']) expect(held(key, 'line')).toBe(false);
  expect(held('z', 'line', { ctrlKey: true })).toBe(false);
  expect(held('s', 'line', { ctrlKey: true })).toBe(true);
  expect(held('Enter', 'line')).toBe(true);
  expect(held('Enter', 'lines')).toBe(false);
  expect(held('Enter', 'lines', { ctrlKey: true })).toBe(true);
});
