import { mainListOf } from '../../../document/screens';
import type { Action, BuiltEffect } from './effect';

/** Takes off what narrows the list, and what the screen was opened with. */
export const clear: BuiltEffect<'clear'> = {
  actions: ({ entities, screen }) => {
    const group = 'What is looked at';
    const filters: Action<'clear'>[] = mainListOf(entities, screen)
      ? [{ id: 'clear', words: 'take all filters off', group, body: { kind: 'clear' } }]
      : [];
    const note = 'without filters and without what the screen was opened with';
    return [...filters, { id: 'all', words: 'show all', note, group, body: { kind: 'clear', all: true } }];
  },
};
