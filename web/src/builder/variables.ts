import type { Op } from '../api/client';
import { aliasOf } from './alias';
import { text } from './document';
import { at, type Entities, type Json, newId } from './edit';

export interface VariableDoc {
  id: string;
  pos: number;
  label: string;
  alias: string;
  type: string;
  table: string;
  choices: string[];
  screen: string; // "" for the whole project
  start: string;
}

/** The variables of the project, in order. */
export function variablesOf(e: Entities): VariableDoc[] {
  return Object.entries(e)
    .filter(([, body]) => text(body, 'kind') === 'variable')
    .map(([id, v]) => {
      const choices = at(v, ['choices']);
      return {
        id,
        pos: Number(at(v, ['pos']) ?? 0),
        label: text(v, 'label'),
        alias: text(v, 'alias'),
        type: text(v, 'type'),
        table: text(v, 'table'),
        choices: Array.isArray(choices) ? choices.map(String) : [],
        screen: text(v, 'screen'),
        start: text(v, 'start'),
      };
    })
    .sort((a, b) => a.pos - b.pos);
}

/** The kinds of values that a variable can hold, in words; a record is of a table. */
export const variableTypes: [string, string][] = [
  ['text', 'a text'],
  ['yesno', 'yes or no'],
  ['whole', 'a whole number'],
  ['number', 'a number'],
  ['date', 'a date'],
  ['record', 'a record of …'],
];

/** A name for expressions, made from a label, that no other variable has. */
export function nameOf(label: string, taken: string[]): string {
  const base = aliasOf(label).slice(0, 36);
  for (let n = 1; ; n++) {
    const name = n === 1 ? base : `${base}_${n}`;
    if (!taken.includes(name)) return name;
  }
}

/** A new variable: its id, and the edit that makes it. */
export function newVariable(e: Entities, v: { label: string; type: string; table: string; screen: string }) {
  const all = variablesOf(e);
  const id = newId('v');
  const body: Json = {
    kind: 'variable',
    pos: all.length + 1,
    label: v.label,
    alias: nameOf(
      v.label,
      all.map((x) => x.alias),
    ),
    type: v.type,
    ...(v.type === 'record' ? { table: v.table } : {}),
    ...(v.type === 'yesno' ? { start: 'false' } : {}),
    ...(v.screen ? { screen: v.screen } : {}),
  };
  const ops: Op[] = [{ op: 'add', path: `/${id}`, value: body }];
  return { id, ops };
}

/** The entities that read or set a variable. */
export function usesOf(e: Entities, variable: string): { id: string; words: string }[] {
  return Object.entries(e)
    .filter(([id, body]) => id !== variable && JSON.stringify(body).includes(variable))
    .map(([id, body]) => ({ id, words: text(body, 'title') || text(body, 'name') || text(body, 'label') }));
}
