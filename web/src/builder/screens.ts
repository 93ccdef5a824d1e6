import type { TableDoc } from './document';
import { at, type Entities, type Json, newId } from './edit';

/** A new screen of a kind: a list with its first columns, a form with its fields, with a way back. */
export function newScreen(
  entities: Entities,
  title: string,
  kind: string,
  table: TableDoc | undefined,
): { id: string; body: Json } {
  const id = newId('s');
  const back: Json = {
    kind: 'button',
    pos: 90,
    cell: { row: 30, col: 1, w: 2 },
    words: 'Back',
    gate: { cases: { c_1: { pos: 1, move: { kind: 'back' } } } },
  };
  const elements: Record<string, Json> = { [newId('e')]: back };
  const body: Record<string, Json> = {
    kind: 'screen',
    type: kind,
    title,
    heading: title,
    slug: freeSlug(entities, title),
    elements,
  };
  if (table && kind === 'list') {
    const columns = Object.fromEntries(
      table.fields
        .filter((f) => f.alias !== 'id')
        .slice(0, 6)
        .map((f, i) => [`k_${i + 1}`, { pos: i + 1, path: f.id }]),
    );
    elements[newId('e')] = { kind: 'list', pos: 1, cell: { row: 1, col: 1, w: 12, h: 10 }, table: table.id, columns };
  }
  if (table && kind === 'form') {
    const input = newId('i');
    body.record = input;
    body.inputs = {
      [input]: {
        pos: 1,
        alias: table.one.replaceAll(/\W+/g, '_'),
        label: capital(table.one),
        type: 'record',
        table: table.id,
        required: true,
      },
    };
    table.fields
      .filter((f) => f.alias !== 'id')
      .slice(0, 12)
      .forEach((f, i) => {
        elements[newId('e')] = {
          kind: 'field',
          pos: i + 1,
          cell: { row: 1 + Math.floor(i / 3), col: 1 + (i % 3) * 4, w: 4 },
          path: f.id,
        };
      });
  }
  return { id, body };
}

/** A slug that no screen has: letters, digits and hyphens of the title. */
function freeSlug(entities: Entities, title: string): string {
  const base =
    title
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-|-$/g, '') || 'screen';
  const taken = new Set(Object.values(entities).map((e) => at(e, ['slug'])));
  let slug = base;
  for (let i = 2; taken.has(slug); i++) slug = `${base}-${i}`;
  return slug;
}

export function capital(s: string): string {
  return s.charAt(0).toUpperCase() + s.slice(1);
}
