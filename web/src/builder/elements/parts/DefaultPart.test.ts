import { expect, test } from 'vitest';
import type { Column } from '../../../document/document.gen';
import { begins, written } from './DefaultPart';

const field = (type: string, more: Partial<Column> = {}) =>
  ({ id: 'f_a', pos: 1, column: 'a', alias: 'a', label: 'A', type, ...more }) as Column;

test('what a new record can begin with, by the field', () => {
  expect(begins({}, field('text', { choices: ['open', 'on "hold"'] }))).toEqual([
    ['"open"', 'open'],
    ['"on \\"hold\\""', 'on "hold"'],
  ]);
  expect(begins({}, field('date'))).toEqual([['today()', 'today']]);
  expect(begins({}, field('record', { references: 't_b' }))).toEqual([]);
  const project = { kind: 'project' as const, title: 'T', slug: 't', zone: 'UTC', userTable: 't_b' };
  expect(begins({ project }, field('record', { references: 't_b' }))).toHaveLength(1);
  expect(begins({}, field('text'))).toBeUndefined();
});

test('what is typed is a value of the field', () => {
  expect(written('say "no"', 'text')).toBe('"say \\"no\\""');
  expect(written('2,5', 'decimal')).toBe('2.5');
  expect(written('many', 'whole')).toBeUndefined();
});
