import { expect, test } from 'vitest';
import type { Column } from '../../../document/document.gen';
import { choicesOf, fieldWords } from './fieldWords';

const field = (parts: Partial<Column>): Column => ({
  pos: 1,
  column: 'a',
  alias: 'a',
  label: 'A',
  type: 'text',
  ...parts,
});

test('what a field is, in words', () => {
  expect(fieldWords(field({}))).toBe('text');
  expect(fieldWords(field({ choices: ['open', 'closed'], graded: true }))).toBe('open, closed, graded');
  expect(fieldWords(field({ type: 'decimal', unit: 'km', min: 0, max: 9 }))).toBe('number in km, 0 to 9');
  expect(fieldWords(field({ type: 'whole', min: 1 }))).toBe('whole number, 1 or more');
  expect(fieldWords(field({ long: true, longest: 400 }))).toBe('long text, at most 400 characters');
  expect(fieldWords(field({ pattern: 'P-[0-9]+', example: 'P-1', readOnly: true }))).toBe(
    'text, of the form P-1, made by the database',
  );
});

test('choices are typed between commas', () => {
  expect(choicesOf(' open, closed ,,open')).toEqual(['open', 'closed']);
  expect(choicesOf(' , ')).toBeUndefined();
});
