import { expect, test } from 'vitest';
import type { PlantNode } from '../../api/client';
import { valueWords } from './valueWords';

const node = (parts: Partial<PlantNode>): PlantNode => ({
  path: '/a',
  name: 'a',
  folder: false,
  kind: 'number',
  readable: true,
  writable: false,
  ...parts,
});

test('a value of a plant is said in words', () => {
  expect(valueWords(node({ now: '4.8', unit: 'm/s', low: 0, high: 6, writable: true }))).toBe(
    '4.8 m/s now; a number, 0 to 6, can be written',
  );
  expect(valueWords(node({ kind: 'yesno', now: 'true' }))).toBe('yes now; yes or no');
  expect(valueWords(node({ kind: 'yesno', now: 'false' }))).toBe('no now; yes or no');
  expect(valueWords(node({ kind: 'yesno' }))).toBe('yes or no');
  expect(valueWords(node({ readable: false, now: '1' }))).toBe('of a kind that is not shown');
});
