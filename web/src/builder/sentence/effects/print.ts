import type { BuiltEffect } from './effect';

/** Puts the screen on paper. */
export const print: BuiltEffect<'print'> = {
  actions: () => [
    {
      id: 'print',
      words: 'print',
      note: 'put the screen on paper',
      group: 'What is looked at',
      body: { kind: 'print' },
    },
  ],
};
