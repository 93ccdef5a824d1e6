import { expect, test } from 'vitest';
import type { Document } from './document.gen';
import { fieldAlong } from './tables';

const column = (alias: string, label: string, references?: string) => ({
  pos: 1,
  column: alias,
  alias,
  label,
  type: references ? ('record' as const) : ('text' as const),
  references,
});
const table = (label: string, fields: Record<string, ReturnType<typeof column>>): Document[string] => ({
  kind: 'table',
  source: 'so_d',
  relation: label,
  label,
  one: label,
  key: ['f_id'],
  title: '',
  fields,
});
const entities: Document = {
  t_defects: table('Defects', { f_cabin: column('cabin', 'Cabin', 't_cabins'), f_what: column('what', 'What') }),
  t_cabins: table('Cabins', { f_no: column('number', 'Number') }),
};

test('a field is found along relations', () => {
  expect(fieldAlong(entities, 't_defects', 'f_what')?.label).toBe('What');
  expect(fieldAlong(entities, 't_defects', 'f_cabin.f_no')?.label).toBe('Number');
});

test('where a part is gone there is none', () => {
  for (const path of ['f_gone', 'f_what.f_no', 'f_cabin.f_gone']) {
    expect(fieldAlong(entities, 't_defects', path)).toBeUndefined();
  }
  expect(fieldAlong(entities, undefined, 'f_what')).toBeUndefined();
});
