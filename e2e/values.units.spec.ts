import { expect, test } from '@playwright/test';
import type { Proposal } from '../web/src/api/client';
import type { FieldDoc } from '../web/src/builder/document';
import { filterOf, howsOf, narrowingOf } from '../web/src/builder/sentence/arrive/narrowing';
import { entryOf, howsFor, textOf, type Wanted } from '../web/src/builder/sentence/effects/values';

// Values given without an expression, and read back from one, without a browser.

const bound = (words: string, binding: Record<string, string>): Proposal => ({ words, binding: binding as unknown as Proposal['binding'] });

test('each type offers its own ways, best first; all can be worked out', () => {
  const words = (w: Wanted, proposed?: Proposal[]) => howsFor(w, proposed).map((h) => h.words);
  expect(words({ type: 'yesno', self: 'record.f_x' })).toEqual(['yes', 'no', 'the other of the two', 'worked out']);
  expect(words({ type: 'text', choices: ['open', 'closed'], nullable: true })).toEqual(['open', 'closed', 'nothing', 'worked out']);
  expect(words({ type: 'text' })).toEqual(['the text', 'worked out']);
  expect(words({ type: 'whole' })).toEqual(['the value', 'worked out']);
  expect(words({ type: 'date' })).toEqual(['today', 'days from now', 'days ago', 'always this day', 'worked out']);
  const proposed = [
    bound('its lift', { rule: 'parent', path: 'f_lift' }),
    bound('my lift', { rule: 'expression', value: 'vars.v_l' }),
    bound('a lift that the user picks', { rule: 'picked' }),
  ];
  expect(words({ type: 'record', table: 't_l' }, proposed)).toEqual(['its lift', 'my lift', 'always one that I choose', 'worked out']);
  expect(words({ type: 'record', table: 't_l', self: 'vars.v_l' }, proposed)).not.toContain('my lift'); // not from itself
});

test('what was set is read back the way it was set', () => {
  for (const [w, entry, text] of [
    [{ type: 'text' }, { how: 'text', typed: 'It said "now" \\ then' }, '"It said \\"now\\" \\\\ then"'],
    [{ type: 'text' }, { how: 'text', typed: '' }, '""'],
    [{ type: 'text', choices: ['open'] }, { how: '="open"', typed: '' }, '"open"'],
    [{ type: 'decimal' }, { how: 'number', typed: '-2.5' }, '-2.5'],
    [{ type: 'date' }, { how: 'ahead', typed: '14' }, 'today() + days(14)'],
    [{ type: 'date' }, { how: 'ago', typed: '7' }, 'today() - days(7)'],
    [{ type: 'date' }, { how: 'day', typed: '2026-11-30' }, 'date("2026-11-30")'],
    [{ type: 'date' }, { how: '=today()', typed: '' }, 'today()'],
    [{ type: 'record', table: 't_l' }, { how: 'key', typed: '12' }, 'key("12")'],
    [{ type: 'record', table: 't_l' }, { how: '=user.record', typed: '' }, 'user.record'],
    [{ type: 'yesno' }, { how: '=true', typed: '' }, 'true'],
  ] as [Wanted, { how: string; typed: string }, string][]) {
    expect(textOf(entry)).toEqual({ text });
    expect(entryOf(w, text)).toEqual(entry);
  }
});

test('what is missing is said; what has no form of its own stays an expression', () => {
  for (const entry of [{ how: 'number', typed: 'many' }, { how: 'ago', typed: '' }, { how: 'day', typed: '' }, { how: 'key', typed: '' }, { how: 'work', typed: ' ' }])
    expect(textOf(entry)).toHaveProperty('problem');
  expect(textOf({ how: 'number', typed: ' 2,5 ' })).toEqual({ text: '2.5' });
  expect(entryOf({ type: 'whole' }, 'record.f_n + 1').how).toBe('=record.f_n + 1');
  expect(entryOf({ type: 'text' }, '"a" + "b"').how).toBe('="a" + "b"');
  expect(entryOf({ type: 'text' }, 'key("3")').how).toBe('=key("3")');
});

const fieldOf = (type: string, more: Partial<FieldDoc> = {}) => ({ id: 'f_x', label: 'Due', type, nullable: false, ...more }) as FieldDoc;

test('what a list is narrowed to at first is kept as a filter, and read back the way it was said', () => {
  for (const [f, how, value, kept] of [
    [fieldOf('text', { choices: ['open', 'closed'] }), 'isNot', 'closed', { compare: 'isNot', value: 'closed' }],
    [fieldOf('date'), 'days:past', '7', { compare: 'days', value: '-7..0' }],
    [fieldOf('date'), 'days:next', '14', { compare: 'days', value: '0..14' }],
    [fieldOf('moment'), 'days:before', '', { compare: 'days', value: '..-1' }],
    [fieldOf('date'), 'atLeast', '2026-11-01', { compare: 'atLeast', value: '2026-11-01' }],
    [fieldOf('decimal'), 'atMost', '2.5', { compare: 'atMost', value: '2.5' }],
    [fieldOf('record', { references: 't_l' }), 'is', '12', { compare: 'is', value: '12' }],
  ] as [FieldDoc, string, string, { compare: string; value: string }][]) {
    const n = { path: 'f_x', how, value };
    expect(filterOf(n, f, 1)).toEqual({ pos: 1, path: 'f_x', ...kept });
    expect(narrowingOf({ path: 'f_x', ...kept })).toEqual(n);
  }
  expect(filterOf({ path: 'f_x', how: 'empty', value: 'left over' }, fieldOf('text', { nullable: true }), 2)).toEqual({ pos: 2, path: 'f_x', compare: 'empty' });
});

test('what a filter lacks is said; a filter without a form of its own is left alone', () => {
  for (const [f, how, value] of [
    [fieldOf('date'), 'days:past', 'soon'],
    [fieldOf('decimal'), 'atLeast', 'many'],
    [fieldOf('text'), 'contains', ' '],
  ] as [FieldDoc, string, string][])
    expect(typeof filterOf({ path: 'f_x', how, value }, f, 1)).toBe('string');
  for (const kept of [{ compare: 'between', value: '1..3' }, { compare: 'in', value: 'a|b' }, { compare: 'days', value: '-3..3' }])
    expect(narrowingOf({ path: 'f_x', ...kept })).toBeUndefined();
  const offered = (f: FieldDoc) => howsOf(f).map(([id]) => id);
  expect(offered(fieldOf('text'))).not.toContain('empty'); // what is never empty is not asked about
  expect(offered(fieldOf('text', { nullable: true }))).toContain('empty');
});
