import type { ButtonElement, Document, Element, Screen } from './document.gen';
import { newId } from './edit';
import { entitiesOf } from './parts';
import { fieldsOf, type TableDoc } from './tables';

/** A new screen of a kind: a list with its first columns, a form with its fields, with a way back. */
export function newScreen(
  d: Document,
  title: string,
  type: Screen['type'],
  table: TableDoc | undefined,
): { id: string; body: Screen } {
  const id = newId('s');
  const back: ButtonElement = {
    kind: 'button',
    pos: 90,
    cell: { row: 30, col: 1, w: 2 },
    words: type === 'notice' ? 'Close' : 'Back',
    gate: { cases: { c_1: { pos: 1, move: { kind: type === 'notice' ? 'close' : 'back' } } } },
  };
  const elements: Record<string, Element> = { [newId('e')]: back };
  const body: Screen = { kind: 'screen', type, title, heading: title, slug: freeSlug(d, title), elements };
  const fields = fieldsOf(table).filter((f) => f.alias !== 'id');
  if (table && type === 'list') {
    const columns = Object.fromEntries(fields.slice(0, 6).map((f, i) => [`k_${i + 1}`, { pos: i + 1, path: f.id }]));
    elements[newId('e')] = { kind: 'list', pos: 1, cell: { row: 1, col: 1, w: 12, h: 10 }, table: table.id, columns };
  }
  if (table && (type === 'form' || type === 'operator')) {
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
    for (const [i, f] of (type === 'form' ? fields : []).slice(0, 12).entries()) {
      const cell = { row: 1 + Math.floor(i / 3), col: 1 + (i % 3) * 4, w: 4 };
      elements[newId('e')] = { kind: 'field', pos: i + 1, cell, path: f.id };
    }
  }
  return { id, body };
}

/** A slug that no screen has: letters, digits and hyphens of the title. */
export function freeSlug(d: Document, title: string): string {
  const words = title.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');
  const base = words.replaceAll(/^-|-$/g, '') || 'screen';
  const taken = new Set(entitiesOf(d, 'screen').map((s) => s.slug));
  let slug = base;
  for (let i = 2; taken.has(slug); i++) slug = `${base}-${i}`;
  return slug;
}

export function capital(s: string): string {
  return s.charAt(0).toUpperCase() + s.slice(1);
}
