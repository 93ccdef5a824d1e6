import type { BuiltEffect } from './effect';

/** Reads everything again. */
export const refresh: BuiltEffect<'refresh'> = {
  actions: () => [
    { id: 'refresh', words: 'read everything again', group: 'What is looked at', body: { kind: 'refresh' } },
  ],
};
