import { expect, test } from 'vitest';
import type { Cell, Document, Element } from '../../document/document.gen';
import type { Op } from '../../document/edit';
import { elementsOf } from '../../document/screens';
import { intoGroup, intoTabs } from './gather';

const list = (cell: Cell, label: string): Element => ({ kind: 'list', pos: 1, cell, table: 't_x', label, columns: {} });
const button = (cell: Cell, more: object = {}): Element => ({ kind: 'button', pos: 1, cell, words: 'Go', ...more });

function screen(elements: Record<string, Element>): Document {
  return { s_a: { kind: 'screen', type: 'form', title: 'A', slug: 'a', elements } };
}

/** Where the elements stand after an edit: row.column.width.rows, and the tab. */
function after(d: Document, ops: Op[]): Record<string, string> {
  const all = new Map<string, Element>(elementsOf(d, 's_a').map((e) => [e.id, { ...e }]));
  for (const { op, path, value } of ops) {
    const [, , , id = '', part] = path.split('/');
    if (op === 'test') continue;
    if (!part) all.set(id, value as Element);
    else all.set(id, { ...(all.get(id) as Element), [part]: value } as Element);
  }
  return Object.fromEntries(
    [...all].map(([id, { cell: c, tab, kind }]) => [
      id.startsWith('e_') && !['e_a', 'e_b', 'e_c', 'e_d'].includes(id) ? kind : id,
      `${c.row}.${c.col}.${c.w}.${c.h ?? 1}${tab ? ` ${tab.split('.')[1]}` : ''}`,
    ]),
  );
}

const chosen = (d: Document, ...ids: string[]) => elementsOf(d, 's_a').filter((e) => ids.includes(e.id));

test('a group stands where the first of its elements stood, and the others make room', () => {
  const d = screen({
    e_a: button({ row: 1, col: 1, w: 4 }),
    e_b: button({ row: 4, col: 5, w: 4 }),
    e_c: button({ row: 1, col: 5, w: 8 }),
    e_d: button({ row: 6, col: 1, w: 12 }),
  });
  expect(after(d, intoGroup(d, 's_a', chosen(d, 'e_a', 'e_b'), false).ops)).toEqual({
    group: '1.1.8.3',
    e_a: '2.1.4.1',
    e_b: '3.5.4.1',
    e_c: '4.5.8.1',
    e_d: '6.1.12.1',
  });
});

test('a group has the modes that all of its elements have', () => {
  const modes = { view: true };
  const d = screen({
    e_a: button({ row: 1, col: 1, w: 4 }, { modes }),
    e_b: button({ row: 1, col: 5, w: 4 }, { modes }),
    e_c: button({ row: 1, col: 9, w: 4 }),
  });
  const body = (...ids: string[]) => intoGroup(d, 's_a', chosen(d, ...ids), false).ops.at(-1)?.value;
  expect(body('e_a', 'e_b')).toMatchObject({ kind: 'group', modes });
  expect(body('e_a', 'e_c')).not.toHaveProperty('modes');
});

test('lists become tabs by their names, and take their buttons with them', () => {
  const d = screen({
    e_a: list({ row: 3, col: 1, w: 12, h: 5 }, 'Defects'),
    e_b: button({ row: 8, col: 1, w: 3 }),
    e_c: list({ row: 9, col: 1, w: 12, h: 5 }, 'Inspections'),
    e_d: button({ row: 20, col: 1, w: 3 }),
  });
  const made = intoTabs(d, 's_a', chosen(d, 'e_a', 'e_c'));
  expect(after(d, made.ops)).toEqual({
    tabs: '3.1.12.1',
    e_a: '4.1.12.5 t_1',
    e_b: '9.1.3.1 t_1',
    e_c: '4.1.12.5 t_2',
    e_d: '9.1.3.1 t_2',
  });
  expect(made.ops.at(-1)?.value).toMatchObject({ tabs: { t_1: { label: 'Defects' }, t_2: { label: 'Inspections' } } });
});
