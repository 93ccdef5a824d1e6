import { expect, test } from 'vitest';
import { contrast, readable } from './contrast';

test('contrast is as WCAG says', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21);
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  expect(contrast('#1f5b4e', '#1f5b4e')).toBe(1);
});

test('the nearest colour that reads is found', () => {
  for (const [colour, ground] of [
    ['#d98200', '#faf8f3'],
    ['#7cc7b5', '#ffffff'],
    ['#20262e', '#1b1f24'],
    ['#808080', '#808080'],
  ] as const) {
    const found = readable(colour, ground, 4.5);
    expect(contrast(found, ground)).toBeGreaterThanOrEqual(4.5);
  }
  expect(readable('#000000', '#ffffff', 4.5)).toBe('#000000');
});
