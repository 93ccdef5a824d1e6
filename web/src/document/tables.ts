import type { Column, Document, Table, Tally } from './document.gen';
import { entitiesOf, entityOf, inOrder, type Kept } from './parts';

export type TableDoc = Kept<Table>;
export type FieldDoc = Kept<Column>;

/** The tables of the project by label. */
export function tablesOf(d: Document): TableDoc[] {
  return entitiesOf(d, 'table').sort((a, b) => a.label.localeCompare(b.label));
}

/** The fields of a table, in order. */
export function fieldsOf(t: Table | undefined): FieldDoc[] {
  return inOrder(t?.fields);
}

/** The figures that a table declares, in order. */
export function talliesOf(t: Table | undefined): Kept<Tally>[] {
  return inOrder(t?.tallies);
}

/** The relations of other tables that refer to one. */
export function childrenOf(d: Document, table: string): { table: string; field: string; words: string }[] {
  return tablesOf(d).flatMap((t) =>
    fieldsOf(t)
      .filter((f) => f.references === table)
      .map((f) => ({
        table: t.id,
        field: f.id,
        words: f.back ?? `${t.label.toLowerCase()}, by ${f.label.toLowerCase()}`,
      })),
  );
}

/** The field at the end of a path of relations; none where a part is gone. */
export function fieldAlong(d: Document, table: string | undefined, path: string): Column | undefined {
  let at = entityOf(d, table, 'table');
  let field: Column | undefined;
  for (const id of path.split('.')) {
    field = at?.fields[id];
    at = entityOf(d, field?.references, 'table');
  }
  return field;
}

/** A field that can be reached from a table: its own, or one of a record that it refers to. */
export interface Reached {
  path: string;
  label: string;
  field: FieldDoc;
}

/** Whether a field tells records from each other, and nothing else of them. */
export function isKey(d: Document, table: string, path: string): boolean {
  const along = path.split('.');
  const last = along.pop() ?? '';
  const of = along.length === 0 ? table : fieldAlong(d, table, along.join('.'))?.references;
  return entityOf(d, of, 'table')?.key?.includes(last) ?? false;
}

/** The fields of a table and those of the records that it refers to, one step on. */
export function reachedOf(d: Document, table: string): Reached[] {
  const own = fieldsOf(entityOf(d, table, 'table')).map((f) => ({ path: f.id, label: f.label, field: f }));
  const further = own.flatMap(({ path, label, field }) =>
    fieldsOf(entityOf(d, field.references, 'table')).map((f) => ({
      path: `${path}.${f.id}`,
      label: `${label}: ${f.label.toLowerCase()}`,
      field: f,
    })),
  );
  return [...own, ...further];
}
