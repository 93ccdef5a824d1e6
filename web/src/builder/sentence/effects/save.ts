import type { BuiltEffect } from './effect';
import { tableHere } from './here';

/** Saves what was typed on the form. */
export const save: BuiltEffect<'save'> = {
  actions: (of) =>
    tableHere(of) ? [{ id: 'save', words: 'save what was typed', group: 'The record', body: { kind: 'save' } }] : [],
};
