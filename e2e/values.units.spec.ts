import { expect, test } from '@playwright/test';
import type { Proposal } from '../web/src/api/client';
import { entryOf, howsFor, textOf, type Wanted } from '../web/src/build/sentence/effects/values';

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
