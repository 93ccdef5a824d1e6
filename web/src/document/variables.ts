import { aliasOf } from './alias';
import type { Document, Variable } from './document.gen';
import { newId, type Op } from './edit';
import { entitiesOf, type Kept, nameOfEntity } from './parts';

export type VariableDoc = Kept<Variable>;

/** The variables of the project, in order. */
export function variablesOf(d: Document): VariableDoc[] {
  return entitiesOf(d, 'variable').sort((a, b) => a.pos - b.pos);
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
export function newVariable(d: Document, v: { label: string; type: string; table: string; screen: string }) {
  const all = variablesOf(d);
  const id = newId('v');
  const taken = all.map((x) => x.alias);
  const body: Variable = {
    kind: 'variable',
    pos: all.length + 1,
    label: v.label,
    alias: nameOf(v.label, taken),
    type: v.type,
    ...(v.type === 'record' ? { table: v.table } : {}),
    ...(v.type === 'yesno' ? { start: 'false' } : {}),
    ...(v.screen ? { screen: v.screen } : {}),
  };
  const ops: Op[] = [{ op: 'add', path: `/${id}`, value: body }];
  return { id, ops };
}

/** The entities that read or set a variable. */
export function usesOf(d: Document, variable: string): { id: string; words: string }[] {
  return Object.entries(d)
    .filter(([id, e]) => id !== variable && JSON.stringify(e).includes(variable))
    .map(([id, e]) => ({ id, words: nameOfEntity(e) }));
}
