import { expect, test } from 'vitest';
import type { Document } from '../../../document/document.gen';
import { atHand } from './atHand';

const field = (pos: number, label: string, type: string, references?: string) => ({
  pos,
  column: label,
  alias: label,
  label,
  type,
  ...(references ? { references } : {}),
});

const d = {
  t_cabins: {
    kind: 'table',
    label: 'Cabins',
    one: 'cabin',
    fields: {
      f_no: field(1, 'No', 'text'),
      f_lift: field(2, 'Lift', 'record', 't_lifts'),
      f_km: field(3, 'Distance', 'decimal'),
    },
  },
  s_cabin: {
    kind: 'screen',
    type: 'form',
    title: 'Cabin',
    slug: 'cabin',
    record: 'i_c',
    inputs: {
      i_c: { pos: 1, alias: 'cabin', label: 'Cabin', type: 'record', table: 't_cabins' },
      i_day: { pos: 2, alias: 'day', label: 'Day', type: 'date' },
      i_by: { pos: 3, alias: 'by', label: 'Inspector', type: 'record', table: 't_staff' },
    },
    elements: {},
  },
} as unknown as Document;

const texts = (type: string, row?: string) => atHand(d, 's_cabin', row, type).map((c) => c.text);

test('records at hand: the chosen row and this record before what they refer to', () => {
  expect(texts('record')).toEqual(['record', 'record.f_lift', 'inputs.i_by']);
  expect(texts('record', 't_cabins')).toEqual(['row', 'row.f_lift', 'record', 'record.f_lift', 'inputs.i_by']);
});

test('other values at hand are of the same type; numbers of any kind are one', () => {
  expect(texts('text')).toEqual(['record.f_no']);
  expect(texts('whole')).toEqual(['record.f_km']);
  expect(texts('date')).toEqual(['inputs.i_day']);
  expect(texts('yesno')).toEqual([]);
});
