import { mainListOf } from '../../../document/screens';
import type { BuiltEffect } from './effect';

/** Saves the list as a file. */
export const exports_: BuiltEffect<'export'> = {
  actions: ({ entities, screen }) => {
    const list = mainListOf(entities, screen)?.id;
    if (!list) return [];
    const words = 'save the list as a file';
    return [{ id: 'export', words, group: 'What is looked at', body: { kind: 'export', list } }];
  },
};
