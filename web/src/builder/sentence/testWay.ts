import { expect } from 'vitest';
import type { Op } from '../../api/client';
import type { Document } from '../../document/document.gen';
import { at, isObject, namesOf } from '../../document/edit';
import type { WayRef } from './wiring';

/** The way of the button on the form of the small project. */
export function ref(entities: Document, more: Partial<WayRef> = {}): WayRef {
  const own = ['s_form', 'elements', 'e_a', 'gate'];
  return {
    project: 'x',
    entities,
    screen: 's_form',
    element: 'e_a',
    trigger: 'release',
    at: own,
    wiring: own,
    ...more,
  };
}

/** Applies operations to a copy: enough of JSON Patch for what is made here. */
export function applied(entities: Document, ops: Op[]): Document {
  const next = structuredClone(entities);
  for (const op of ops) {
    const names = namesOf(op.path);
    const last = names.pop() ?? '';
    const here = at(next, names);
    if (!isObject(here)) throw new Error(`${op.path} is nowhere`);
    if (op.op === 'test') expect(here[last]).toEqual(op.value);
    else if (op.op === 'remove') delete here[last];
    else here[last] = op.value;
  }
  return next;
}
