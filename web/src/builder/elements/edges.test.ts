import { expect, test } from 'vitest';
import { edgesAround } from './edges';

test('edges are round, and nothing lies on them', () => {
  for (const [least, most] of [
    [46.31, 46.74],
    [0, 88],
    [-20, 20],
    [1204000, 1209950],
    [5, 5],
  ] as const) {
    const e = edgesAround([least, most], { from: 0, to: 100 });
    expect(e && (e.from < least || (e.from === 0 && least === 0)) && e.to > most).toBe(true);
    expect(e && most - least > (e.to - e.from) / 3 ? true : least === most).toBe(true);
  }
});

test('what grows upwards goes on doing so', () => {
  expect(edgesAround([46, 47], { from: 100, to: 0 })).toMatchObject({
    from: expect.any(Number),
    to: expect.any(Number),
  });
  const e = edgesAround([46, 47], { from: 100, to: 0 });
  expect(e && e.from > e.to).toBe(true);
  expect(edgesAround([], { from: 0, to: 100 })).toBeUndefined();
});
