import { expect, test } from 'vitest';
import type { Document, Screen } from '../../../document/document.gen';
import { screenOf } from '../../../document/screens';
import { inputFor, nowWords, screensFor, ticked } from './leads';

const input = (table: string, required: boolean) => ({
  pos: 1,
  alias: 'x',
  label: 'X',
  type: 'record',
  table,
  required,
});
const screen = (title: string, more: Partial<Screen>): Screen =>
  ({ kind: 'screen', type: 'operator', title, slug: title, ...more }) as Screen;
const d = {
  s_watch: screen('Watch', {
    record: 'i_lift',
    inputs: { i_other: input('t_lifts', false), i_lift: input('t_lifts', true) },
  }),
  s_board: screen('Board', {}),
  s_form: screen('Form', { record: 'i_d', inputs: { i_d: input('t_defects', true) } }),
} as unknown as Document;

test('the record goes where a screen takes it: as its own first', () => {
  expect(inputFor(screenOf(d, 's_watch'), 't_lifts')).toBe('i_lift');
  expect(inputFor(screenOf(d, 's_board'), 't_lifts')).toBeUndefined();
});

test('only screens are offered that need nothing else', () => {
  expect(screensFor(d, 't_lifts').map((s) => s.id)).toEqual(['s_board', 's_watch']);
  expect(screensFor(d, undefined).map((s) => s.id)).toEqual(['s_board']);
});

test('a set that is empty again says nothing', () => {
  expect(ticked({ a: true }, 'b')).toEqual({ a: true, b: true });
  expect(ticked({ a: true }, 'a')).toBeUndefined();
});

test('how it is with a call-up now is said in words', () => {
  expect(nowWords({ of: 3, on: [] })).toBe('Now it holds for none of 3.');
  expect(nowWords({ of: 1, on: [] })).toBe('Now it does not hold.');
  expect(nowWords({ of: 3, on: ['Gusts at Horn Saddle'], unknown: 'away' })).toBe(
    'Now it holds: Gusts at Horn Saddle.',
  );
  expect(nowWords({ of: 3, on: [], unknown: 'the plant is not connected' })).toBe(
    'Now it is not known: the plant is not connected.',
  );
  expect(nowWords({ of: 0, on: [] })).toBe('Now: there is no record to ask it of.');
});
