import { childListsOf } from '../../../document/screens';
import type { Action, BuiltEffect } from './effect';
import { oneOf, tableHere } from './here';

/** Deletes the record, or the chosen row of a list. */
export const del: BuiltEffect<'delete'> = {
  actions: (of) => {
    const table = tableHere(of);
    const own: Action<'delete'>[] = table
      ? [{ id: 'delete', words: `delete this ${table.one}`, group: 'The record', body: { kind: 'delete' } }]
      : [];
    const rows = childListsOf(of.entities, of.screen).map(
      (list): Action<'delete'> => ({
        id: `delete.${list.id}`,
        words: `delete the chosen ${oneOf(of, list.table)}`,
        group: 'Rows',
        body: { kind: 'delete', list: list.id },
      }),
    );
    return [...own, ...rows];
  },
};
