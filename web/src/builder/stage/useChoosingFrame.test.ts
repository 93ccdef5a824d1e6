import { expect, test } from 'vitest';
import { frameOf, touches } from './useChoosingFrame';

test('a frame may be drawn in any direction', () => {
  const box = { left: 10, right: 50, top: 20, bottom: 40 };
  expect(frameOf({ x: 10, y: 20 }, { x: 50, y: 40 })).toEqual(box);
  expect(frameOf({ x: 50, y: 40 }, { x: 10, y: 20 })).toEqual(box);
});

test('what a frame only touches at its edge is not chosen', () => {
  const frame = { left: 0, right: 10, top: 0, bottom: 10 };
  expect(touches(frame, { left: 9, right: 30, top: 9, bottom: 30 })).toBe(true);
  expect(touches(frame, { left: 10, right: 30, top: 0, bottom: 10 })).toBe(false);
  expect(touches(frame, { left: 0, right: 10, top: 11, bottom: 30 })).toBe(false);
});
