import type { Cell, Column, Document, Gate, Input, Table } from './document.gen';

// Small projects for tests; what a test speaks of it says itself.

/** A place on the grid. */
export const cell: Cell = { row: 1, col: 1, w: 2 };

/** A table with fields of these types, by id. */
export function table(one: string, fields: Record<string, string | Partial<Column>>): Table {
  const made = Object.entries(fields).map(([id, f], i): [string, Column] => {
    const own = typeof f === 'string' ? { type: f } : f;
    const alias = id.replace(/^f_/, '');
    return [id, { pos: i + 1, column: alias, alias, label: alias, type: 'text', ...own }];
  });
  return {
    kind: 'table',
    source: 'so_1',
    relation: one,
    label: `${one}s`,
    one,
    key: ['f_id'],
    title: '',
    fields: Object.fromEntries(made),
  };
}

/** An input that takes a record. */
export function recordInput(of: string, more: Partial<Input> = {}): Input {
  return { pos: 1, alias: 'it', label: 'It', type: 'record', table: of, ...more };
}

/** A form of one ex with a button, a list of whys with a menu, and a rail. */
export function project(gate: Gate): Document {
  return {
    t_x: { ...table('ex', { f_id: 'whole', f_state: 'text' }), label: 'Exes' },
    t_y: { ...table('why', { f_id: 'whole' }), label: 'Whys' },
    s_form: {
      kind: 'screen',
      type: 'form',
      title: 'Form',
      slug: 'form',
      record: 'i_x',
      inputs: {
        i_x: recordInput('t_x', { required: true }),
        i_n: { pos: 2, alias: 'n', label: 'N', type: 'text' },
      },
      elements: { e_a: { kind: 'button', pos: 1, cell, words: 'Go', gate } },
    },
    s_list: {
      kind: 'screen',
      type: 'list',
      title: 'List',
      slug: 'list',
      inputs: { i_l: recordInput('t_x') },
      elements: {
        e_l: {
          kind: 'list',
          pos: 1,
          cell,
          table: 't_y',
          columns: {},
          menu: { m_1: { pos: 1, words: 'One', gate: {} } },
        },
      },
    },
    ra_1: {
      kind: 'rail',
      pos: 1,
      name: 'Rail',
      edge: 'left',
      placed: {},
      elements: { e_r: { kind: 'button', pos: 1, cell, words: 'Rail' } },
    },
  };
}
