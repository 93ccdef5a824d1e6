import type { Draft } from '../api/client';
import { at, type Entities, type Json } from './edit';

/** The parts of the document that the builder's views read. */
export interface ScreenDoc {
  id: string;
  type: string;
  title: string;
  area: string;
  slug: string;
  record?: string;
  inputs: InputDoc[];
  bare: boolean;
}

export interface InputDoc {
  id: string;
  alias: string;
  type: string;
  label: string;
  table?: string;
  required: boolean;
}

export interface FieldDoc {
  id: string;
  alias: string;
  label: string;
  type: string;
  choices?: string[];
  references?: string;
  unit?: string;
  nullable: boolean;
  readOnly: boolean;
  given: boolean; // the database fills it in
}

export interface TableDoc {
  id: string;
  label: string;
  one: string;
  view: boolean; // its records can only be read
  fields: FieldDoc[];
}

export interface RoleDoc {
  id: string;
  name: string;
  pos: number;
}

export function entitiesOf(draft: Draft): Entities {
  return draft.entities as unknown as Entities;
}

/** Text at a path, or "". */
export function text(v: Json | undefined, ...path: string[]): string {
  const found = at(v, path);
  return typeof found === 'string' ? found : '';
}

function entries(v: Json | undefined): [string, Json][] {
  if (typeof v !== 'object' || v === null || Array.isArray(v)) return [];
  return Object.entries(v).sort(([, a], [, b]) => number(a, 'pos') - number(b, 'pos'));
}

export function number(v: Json | undefined, ...path: string[]): number {
  const found = at(v, path);
  return typeof found === 'number' ? found : 0;
}

function ofKind(e: Entities, kind: string): [string, Json][] {
  return Object.entries(e).filter(([, body]) => text(body, 'kind') === kind);
}

export function screensOf(e: Entities): ScreenDoc[] {
  return ofKind(e, 'screen')
    .map(([id, s]) => ({
      id,
      type: text(s, 'type'),
      title: text(s, 'title'),
      area: text(s, 'area'),
      slug: text(s, 'slug'),
      record: text(s, 'record') || undefined,
      bare: at(s, ['bare']) === true,
      inputs: entries(at(s, ['inputs'])).map(([input, i]) => ({
        id: input,
        alias: text(i, 'alias'),
        type: text(i, 'type'),
        label: text(i, 'label'),
        table: text(i, 'table') || undefined,
        required: at(i, ['required']) === true,
      })),
    }))
    .sort((a, b) => a.area.localeCompare(b.area) || a.title.localeCompare(b.title));
}

export function tablesOf(e: Entities): TableDoc[] {
  return ofKind(e, 'table')
    .map(([id, t]) => ({
      id,
      label: text(t, 'label'),
      one: text(t, 'one'),
      view: at(t, ['view']) === true,
      fields: entries(at(t, ['fields'])).map(([field, f]) => {
        const choices = at(f, ['choices']);
        return {
          id: field,
          alias: text(f, 'alias'),
          label: text(f, 'label'),
          type: text(f, 'type'),
          references: text(f, 'references') || undefined,
          choices: Array.isArray(choices) ? choices.map(String) : undefined,
          unit: text(f, 'unit') || undefined,
          nullable: at(f, ['nullable']) === true,
          readOnly: at(f, ['readOnly']) === true,
          given: text(f, 'default') !== '',
        };
      }),
    }))
    .sort((a, b) => a.label.localeCompare(b.label));
}

export function rolesOf(e: Entities): RoleDoc[] {
  return ofKind(e, 'role')
    .sort(([, a], [, b]) => number(a, 'pos') - number(b, 'pos'))
    .map(([id, r]) => ({ id, name: text(r, 'name'), pos: number(r, 'pos') }));
}

/** Where an element's gate stands in the document, by its trigger. */
export function gatePath(screen: string, element: string, trigger: string): string[] {
  if (trigger.startsWith('several.')) {
    return [screen, 'elements', element, 'several', trigger.slice('several.'.length), 'gate'];
  }
  const name = { row: 'opened', point: 'chosen' }[trigger] ?? 'gate';
  return [screen, 'elements', element, name];
}

export interface ListDoc {
  id: string;
  table: string;
  label: string;
  inPlace: boolean;
}

/** The lists of children on a screen. */
export function childListsOf(e: Entities, screen: string): ListDoc[] {
  return entries(at(e, [screen, 'elements']))
    .filter(([, el]) => text(el, 'kind') === 'list' && text(el, 'relation') !== '')
    .map(([id, el]) => ({
      id,
      table: text(el, 'table'),
      label: text(el, 'label'),
      inPlace: at(el, ['inPlace']) === true,
    }));
}

/** The table of a screen's own record. */
export function recordTable(s: ScreenDoc | undefined): string | undefined {
  return s?.inputs.find((i) => i.id === s.record)?.table;
}

export interface TallyDoc {
  id: string;
  label: string;
  take: string;
  of: string;
  path: string;
  while: string;
}

/** The figures that a table declares, in order. */
export function talliesOf(e: Entities, table: string): TallyDoc[] {
  return entries(at(e, [table, 'tallies'])).map(([id, t]) => ({
    id,
    label: text(t, 'label'),
    take: text(t, 'take'),
    of: text(t, 'of'),
    path: text(t, 'path'),
    while: text(t, 'while'),
  }));
}

/** The relations of other tables that refer to one. */
export function childrenOf(e: Entities, table: string): { table: string; field: string; words: string }[] {
  return tablesOf(e).flatMap((t) =>
    t.fields
      .filter((f) => f.references === table)
      .map((f) => ({ table: t.id, field: f.id, words: `${t.label.toLowerCase()}, by ${f.label.toLowerCase()}` })),
  );
}

/** The shared conditions, in order. */
export function conditionsOf(e: Entities): { id: string; name: string }[] {
  return ofKind(e, 'condition')
    .sort(([, a], [, b]) => number(a, 'pos') - number(b, 'pos'))
    .map(([id, c]) => ({ id, name: text(c, 'name') }));
}

/** Where an entity that is no screen belongs, for people. */
export function placeOf(e: Entities, entity: string | undefined): string {
  const body = e[entity ?? ''];
  switch (text(body, 'kind')) {
    case 'grant':
      return `rights on ${text(e[text(body, 'table')], 'label').toLowerCase()}`;
    case 'condition':
      return 'shared conditions';
    case 'table':
      return text(body, 'label');
  }
  return 'the project';
}
