import { expect, test } from 'vitest';
import type { Proposal } from '../../../../api/client';
import { entryOf, howsFor, textOf, type Wanted } from './values';

// Values given without an expression, and read back from one.

test('each type offers its own ways, best first; all can be worked out', () => {
  const words = (w: Wanted, proposed?: Proposal[]) => howsFor(w, proposed).map((h) => h.words);
  expect(words({ type: 'yesno', self: 'record.f_x' })).toEqual(['yes', 'no', 'the other of the two', 'worked out']);
  const choices = { type: 'text', choices: ['open', 'closed'], nullable: true };
  expect(words(choices)).toEqual(['open', 'closed', 'nothing', 'worked out']);
  expect(words({ type: 'text' })).toEqual(['the text', 'worked out']);
  expect(words({ type: 'whole' })).toEqual(['the value', 'worked out']);
  const dates = ['today', 'days from now', 'days ago', 'always this day', 'worked out'];
  expect(words({ type: 'date' })).toEqual(dates);
  const proposed: Proposal[] = [
    { words: 'its lift', binding: { rule: 'parent', path: 'f_lift' } },
    { words: 'my lift', binding: { rule: 'expression', value: 'vars.v_l' } },
    { words: 'a lift that the user picks', binding: { rule: 'picked' } },
  ];
  const record = { type: 'record', table: 't_l' };
  expect(words(record, proposed)).toEqual(['its lift', 'my lift', 'always one that I choose', 'worked out']);
  expect(words({ ...record, self: 'vars.v_l' }, proposed)).not.toContain('my lift'); // not from itself
});

const cases: [Wanted, { how: string; typed: string }, string][] = [
  [{ type: 'text' }, { how: 'text', typed: 'It said "now" \\ then' }, '"It said \\"now\\" \\\\ then"'],
  [{ type: 'text' }, { how: 'text', typed: '' }, '""'],
  [{ type: 'text', choices: ['open'] }, { how: '="open"', typed: '' }, '"open"'],
  [{ type: 'decimal' }, { how: 'number', typed: '-2.5' }, '-2.5'],
  [{ type: 'date' }, { how: 'ahead', typed: '14' }, 'daysFromNow(14)'],
  [{ type: 'date' }, { how: 'ago', typed: '7' }, 'daysAgo(7)'],
  [{ type: 'date' }, { how: 'day', typed: '2026-11-30' }, 'date("2026-11-30")'],
  [{ type: 'date' }, { how: '=today()', typed: '' }, 'today()'],
  [{ type: 'record', table: 't_l' }, { how: 'key', typed: '12' }, 'key("12")'],
  [{ type: 'record', table: 't_l' }, { how: '=user.record', typed: '' }, 'user.record'],
  [{ type: 'yesno' }, { how: '=true', typed: '' }, 'true'],
];

test.each(cases)('what was set is read back the way it was set: %o', (wanted, entry, text) => {
  expect(textOf(entry)).toEqual({ text });
  expect(entryOf(wanted, text)).toEqual(entry);
});

test('what is missing is said; what has no form of its own stays an expression', () => {
  for (const how of ['ago', 'day', 'key', 'work']) expect(textOf({ how, typed: ' ' })).toHaveProperty('problem');
  expect(textOf({ how: 'number', typed: 'many' })).toHaveProperty('problem');
  expect(textOf({ how: 'number', typed: ' 2,5 ' })).toEqual({ text: '2.5' });
  expect(entryOf({ type: 'whole' }, 'record.f_n + 1').how).toBe('=record.f_n + 1');
  expect(entryOf({ type: 'text' }, '"a" + "b"').how).toBe('="a" + "b"');
  expect(entryOf({ type: 'text' }, 'key("3")').how).toBe('=key("3")');
});
