import { expect, test } from 'vitest';
import type { Document } from '../../../document/document.gen';
import { likelyFirst } from './likely';
import type { Target } from './target';

const screen = (title: string, table?: string) => ({
  kind: 'screen',
  type: table ? 'form' : 'menu',
  title,
  slug: title,
  elements: {},
  ...(table ? { record: 'i', inputs: { i: { pos: 1, alias: 'it', label: 'It', type: 'record', table } } } : {}),
});

const d = {
  t_cabins: {
    kind: 'table',
    label: 'Cabins',
    one: 'cabin',
    fields: { f_lift: { pos: 1, alias: 'lift', label: 'Lift', column: 'l', type: 'record', references: 't_lifts' } },
  },
  t_lifts: { kind: 'table', label: 'Lifts', one: 'lift', fields: {} },
  t_staff: { kind: 'table', label: 'Staff', one: 'person', fields: {} },
  s_a: screen('About'),
  s_cabin: screen('Cabin', 't_cabins'),
  s_card: screen('Card', 't_cabins'),
  s_lift: screen('Lift', 't_lifts'),
  s_person: screen('Person', 't_staff'),
} as unknown as Document;

const targets: Target[] = ['s_a', 's_cabin', 's_card', 's_lift', 's_person'].map((id) => ({
  id,
  words: id,
  note: 'screen',
  move: { kind: 'screen', target: id },
}));
const order = (row: string | undefined, now?: string, from = 's_cabin') =>
  likelyFirst(targets, { entities: d, screen: from, row, now });

test('screens of the record at hand come first, then those of what it refers to; the screen itself is not likely', () => {
  expect(order(undefined).map((t) => t.id)).toEqual(['s_card', 's_lift', 's_a', 's_cabin', 's_person']);
  expect(order('t_staff').map((t) => t.id)[0]).toBe('s_person');
});

test('the one in force comes before all and says so; nothing is there twice', () => {
  const all = order(undefined, 's_person');
  expect(all[0]).toMatchObject({ id: 's_person', group: 'Likely', note: 'screen, as it is now' });
  expect(new Set(all.map((t) => t.id)).size).toBe(targets.length);
});

test('where there is no record at hand the order stays', () => {
  expect(order(undefined, undefined, 's_a').map((t) => t.id)).toEqual(targets.map((t) => t.id));
});
