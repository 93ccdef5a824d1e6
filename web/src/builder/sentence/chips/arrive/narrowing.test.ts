import { expect, test } from 'vitest';
import type { Column } from '../../../../document/document.gen';
import type { FieldDoc } from '../../../../document/tables';
import { filterOf, howsOf, narrowingOf } from './narrowing';

const fieldOf = (type: string, more: Partial<Column> = {}): FieldDoc => ({
  id: 'f_x',
  pos: 1,
  column: 'x',
  alias: 'x',
  label: 'Due',
  type,
  ...more,
});

const kept: [FieldDoc, string, string, { compare: string; value: string }][] = [
  [fieldOf('text', { choices: ['open', 'closed'] }), 'isNot', 'closed', { compare: 'isNot', value: 'closed' }],
  [fieldOf('date'), 'days:past', '7', { compare: 'days', value: '-7..0' }],
  [fieldOf('date'), 'days:next', '14', { compare: 'days', value: '0..14' }],
  [fieldOf('moment'), 'days:before', '', { compare: 'days', value: '..-1' }],
  [fieldOf('date'), 'atLeast', '2026-11-01', { compare: 'atLeast', value: '2026-11-01' }],
  [fieldOf('decimal'), 'atMost', '2.5', { compare: 'atMost', value: '2.5' }],
  [fieldOf('record', { references: 't_l' }), 'is', '12', { compare: 'is', value: '12' }],
];

test.each(kept)(
  'what a list begins with is kept as a filter, and read back as it was said: %o',
  (f, how, value, made) => {
    const n = { path: 'f_x', how, value };
    expect(filterOf(n, f, 1)).toEqual({ pos: 1, path: 'f_x', ...made });
    expect(narrowingOf({ path: 'f_x', ...made })).toEqual(n);
  },
);

test('a comparison without a value leaves what was typed behind', () => {
  const n = { path: 'f_x', how: 'empty', value: 'left over' };
  expect(filterOf(n, fieldOf('text', { nullable: true }), 2)).toEqual({ pos: 2, path: 'f_x', compare: 'empty' });
});

test('what a filter lacks is said; a filter without a form of its own is left alone', () => {
  const lacking: [FieldDoc, string, string][] = [
    [fieldOf('date'), 'days:past', 'soon'],
    [fieldOf('decimal'), 'atLeast', 'many'],
    [fieldOf('text'), 'contains', ' '],
  ];
  for (const [f, how, value] of lacking) expect(typeof filterOf({ path: 'f_x', how, value }, f, 1)).toBe('string');
  for (const [compare, value] of [
    ['between', '1..3'],
    ['in', 'a|b'],
    ['days', '-3..3'],
  ] as const)
    expect(narrowingOf({ path: 'f_x', compare, value })).toBeUndefined();
  const offered = (f: FieldDoc) => howsOf(f).map(([id]) => id);
  expect(offered(fieldOf('text'))).not.toContain('empty'); // what is never empty is not asked about
  expect(offered(fieldOf('text', { nullable: true }))).toContain('empty');
});
