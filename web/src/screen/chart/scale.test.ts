import { expect, test } from 'vitest';
import { placed, ticks } from './scale';

test('round numbers that all lie between', () => {
  expect(ticks([3, 17, 38])).toEqual([0, 10, 20, 30, 40]);
  expect(ticks([0.12, 0.31])).toEqual([0, 0.1, 0.2, 0.3, 0.4]);
  expect(ticks([980, 1010])).toEqual([970, 980, 990, 1000, 1010, 1020]); // none lies on an edge
  expect(ticks([23, 24])).toEqual([22, 23, 24, 25]);
});

test('of one number, and of none', () => {
  for (const numbers of [[7], [0], [-3], []]) {
    const found = ticks(numbers);
    expect(found.length).toBeGreaterThan(1);
    for (const n of numbers) {
      expect(placed(n, found)).toBeGreaterThanOrEqual(0);
      expect(placed(n, found)).toBeLessThanOrEqual(100);
    }
  }
});
