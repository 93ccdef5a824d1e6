import { expect, test } from 'vitest';
import { shapeOf } from './points';

test('a chart is drawn as it is asked for, else as suits what it counts by', () => {
  expect(shapeOf({})).toBe('bars');
  expect(shapeOf({ span: 'month' })).toBe('columns');
  expect(shapeOf({ span: 'month', shape: 'line' })).toBe('line');
  expect(shapeOf({ shape: 'unheard of' })).toBe('bars');
});

test('a grid without parts is a table', () => {
  expect(shapeOf({ shape: 'grid' })).toBe('table');
  expect(shapeOf({ shape: 'grid', splits: ['low', 'high'] })).toBe('grid');
});
