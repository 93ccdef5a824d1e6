import { useState } from 'react';
import type { TableWish, Wish } from '../../api/client';

type FieldPart = Partial<NonNullable<TableWish['fields']>[number]>;

/** What was chosen, and what is to be otherwise than proposed. */
export function useWishes(connection: string, database: string) {
  const [wish, setWish] = useState<Omit<Wish, 'title'> & { title?: string }>({ connection, tables: [], zone: zone() });
  const titled = { ...wish, title: wish.title ?? capital(database) };
  const set = (part: Partial<Wish>) => setWish((w) => ({ ...w, ...part }));
  const tables = (change: (had: TableWish[]) => TableWish[]) => setWish((w) => ({ ...w, tables: change(w.tables) }));
  const is = (schema: string, name: string) => (t: TableWish) => t.schema === schema && t.name === name;
  return {
    wish: titled,
    set,
    has: (schema: string, name: string) => wish.tables.some(is(schema, name)),
    take: (schema: string, name: string) => tables((had) => [...had, { schema, name }]),
    remove: (schema: string, name: string) => tables((had) => had.filter((t) => !is(schema, name)(t))),
    table: (schema: string, name: string, part: Partial<TableWish>) =>
      tables((had) => had.map((t) => (is(schema, name)(t) ? { ...t, ...part } : t))),
    field: (schema: string, name: string, column: string, part: FieldPart) =>
      tables((had) => had.map((t) => (is(schema, name)(t) ? withField(t, column, part) : t))),
    /** A screen or a way that is not to be made, or is again. */
    leaveOut: (id: string, out: boolean) =>
      setWish((w) => {
        const others = (w.leaveOut ?? []).filter((x) => x !== id);
        return { ...w, leaveOut: out ? [...others, id] : others };
      }),
  };
}

export type Wishes = ReturnType<typeof useWishes>;

function withField(t: TableWish, column: string, part: FieldPart): TableWish {
  const fields = t.fields ?? [];
  const was = fields.find((f) => f.column === column) ?? { column };
  return { ...t, fields: [...fields.filter((f) => f.column !== column), { ...was, ...part }] };
}

const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1).replaceAll('_', ' ');

function zone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
}
