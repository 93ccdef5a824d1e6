import { expect, test } from 'vitest';
import type { Document } from './document.gen';
import { reachedOf } from './tables';

const d = {
  t_pumps: {
    kind: 'table',
    label: 'Pumps',
    fields: {
      f_code: { pos: 1, label: 'Code', type: 'text' },
      f_site: { pos: 2, label: 'Site', type: 'record', references: 't_sites' },
      f_gone: { pos: 3, label: 'Owner', type: 'record', references: 't_gone' },
    },
  },
  t_sites: {
    kind: 'table',
    label: 'Sites',
    fields: {
      f_name: { pos: 1, label: 'Name', type: 'text' },
      f_site: { pos: 2, label: 'Belongs to', type: 'record', references: 't_sites' },
    },
  },
} as unknown as Document;

test('a table reaches its own fields, and those of what it refers to, one step on', () => {
  expect(reachedOf(d, 't_pumps').map((f) => [f.path, f.label])).toEqual([
    ['f_code', 'Code'],
    ['f_site', 'Site'],
    ['f_gone', 'Owner'],
    ['f_site.f_name', 'Site: name'],
    ['f_site.f_site', 'Site: belongs to'],
  ]);
});

test('what refers to itself is reached once', () => {
  expect(reachedOf(d, 't_sites').map((f) => f.path)).toEqual(['f_name', 'f_site', 'f_site.f_name', 'f_site.f_site']);
});

test('a table that is gone reaches nothing', () => expect(reachedOf(d, 't_gone')).toEqual([]));
