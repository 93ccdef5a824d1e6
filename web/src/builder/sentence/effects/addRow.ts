import { childListsOf } from '../../../document/screens';
import type { BuiltEffect } from './effect';
import { oneOf } from './here';

/** Begins a new row in a list that is edited where it stands. */
export const addRow: BuiltEffect<'addRow'> = {
  actions: (of) =>
    childListsOf(of.entities, of.screen)
      .filter((list) => list.inPlace)
      .map((list) => ({
        id: `addRow.${list.id}`,
        words: `begin a new ${oneOf(of, list.table)}`,
        group: 'Rows',
        body: { kind: 'addRow', list: list.id },
      })),
};
