import { expect, test } from 'vitest';
import { movedMark } from './useDragMark';

test('a mark is moved by hundredths of its picture, and stays on it', () => {
  const picture = { width: 400, height: 200 };
  expect(movedMark({ x: 50, y: 50 }, { x: 40, y: -20 }, picture)).toEqual({ x: 60, y: 40 });
  expect(movedMark({ x: 50, y: 50 }, { x: 0.5, y: 0 }, picture)).toEqual({ x: 50.1, y: 50 });
  expect(movedMark({ x: 90, y: 5 }, { x: 400, y: -400 }, picture)).toEqual({ x: 100, y: 0 });
});
