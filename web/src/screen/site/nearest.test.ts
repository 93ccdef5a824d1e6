import { expect, test } from 'vitest';
import { nearest } from './nearest';

const spots = [
  { x: 50, y: 50 },
  { x: 70, y: 55 },
  { x: 60, y: 90 },
  { x: 50, y: 20 },
  { x: 10, y: 48 },
];

test('arrow keys go to what lies nearest in their direction', () => {
  expect(nearest(spots, 0, 'ArrowRight')).toBe(1);
  expect(nearest(spots, 0, 'ArrowDown')).toBe(2);
  expect(nearest(spots, 0, 'ArrowUp')).toBe(3);
  expect(nearest(spots, 0, 'ArrowLeft')).toBe(4);
});

test('at the edge there is nothing further, and other keys mean nothing', () => {
  expect(nearest(spots, 4, 'ArrowLeft')).toBeUndefined();
  expect(nearest(spots, 0, 'Enter')).toBeUndefined();
  expect(nearest([], 0, 'ArrowUp')).toBeUndefined();
});
