import { expect, test } from 'vitest';
import { choosing, shapeOf, stretch } from './points';

test('a chart is drawn as it is asked for, else as suits what it counts by', () => {
  expect(shapeOf({})).toBe('bars');
  expect(shapeOf({ span: 'month' })).toBe('columns');
  expect(shapeOf({ span: 'month', shape: 'line' })).toBe('line');
  expect(shapeOf({ shape: 'unheard of' })).toBe('bars');
});

test('a grid without parts is a table', () => {
  expect(shapeOf({ shape: 'grid' })).toBe('table');
  expect(shapeOf({ shape: 'grid', splits: [{ value: 'low', label: 'low' }] })).toBe('grid');
});

const keys = { ctrlKey: false, metaKey: false, shiftKey: false };
const point = (value: string, chosen = false) => ({ value, label: value, n: 1, chosen });
const chart = (span: string | undefined, ...points: ReturnType<typeof point>[]) => ({
  label: '',
  by: '',
  measure: 'count',
  points,
  span,
  several: true,
});

test('with Ctrl a point is chosen besides others, where several can be', () => {
  const c = chart(undefined, point('a', true), point('b'));
  expect(choosing(c, point('b'), keys)).toEqual(['b', {}]);
  expect(choosing(c, point('b'), { ...keys, ctrlKey: true })).toEqual(['b', { also: true }]);
  expect(choosing({ ...c, several: false }, point('b'), { ...keys, ctrlKey: true })).toEqual(['b', {}]);
});

test('with Shift all since the first one is chosen, along time', () => {
  const c = chart('month', point('2026-03-01'), point('2026-04-01', true), point('2026-05-01'));
  expect(choosing(c, point('2026-05-01'), { ...keys, shiftKey: true })).toEqual(['2026-04-01', { to: '2026-05-01' }]);
  expect(choosing(c, point('2026-03-01'), { ...keys, shiftKey: true })).toEqual(['2026-03-01', { to: '2026-04-01' }]);
  expect(stretch(c, '2026-04-01', '2026-04-01')).toEqual(['2026-04-01', {}]);
  const ranges = chart('range', point('20'), point('100')); // in the order of numbers, not of letters
  expect(stretch(ranges, '100', '20')).toEqual(['20', { to: '100' }]);
});
