import type { Op } from '../../../api/client';
import type { Binding } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { ownGateOf, type WayRef } from '../wiring';
import { noneOf, rewritten } from './rewrite';

const asks = 'Its condition speaks of a record that only the shared gate can ask for here. Change that first.';
const follows = 'It follows a relation of a record that only the shared gate knows here. Change that first.';

/** Makes the gate that a way shares its own again; what it cannot say by itself is told. */
export function makeOwn(w: WayRef): { ops: Op[]; problem?: string } {
  const shared = entityOf(w.entities, w.shared, 'gate')?.gate;
  if (!shared) return { ops: [], problem: 'The shared gate is gone.' };
  const give = ownGateOf(w)?.give ?? {};
  let problem: string | undefined;
  const source = (id: string): string => {
    const words = asExpression(give[id]);
    if (words === undefined) problem = asks;
    return words ?? `inputs.${id}`;
  };
  const onText = (t: string) => t.replaceAll(/(?<![\w.])inputs\.(i_\w+)/g, (_, id: string) => source(id));
  const onBinding = (b: Binding): Binding => {
    switch (b.rule) {
      case 'input': {
        const outer = give[b.value ?? ''];
        return outer ? { ...noneOf(b), ...outer } : b;
      }
      case 'expression':
        return { ...b, value: onText(b.value ?? '') };
      case 'parent':
      case 'child': {
        const own = followed(b, give[b.from ?? '']);
        if (!own) problem = follows;
        return own ?? b;
      }
    }
    return b;
  };
  const gate = rewritten(shared, { onText, onBinding });
  return { ops: problem ? [] : put(w.entities, w.at, gate), problem };
}

/** The expression that says the same as what an input is given; undefined for a rule that has none. */
function asExpression(b: Binding | undefined): string | undefined {
  switch (b?.rule) {
    case 'this':
    case 'saved':
      return 'record';
    case 'row':
      return 'row';
    case 'user':
      return 'user.record';
    case 'input':
      return `inputs.${b.value}`;
    case 'expression':
      return `(${b.value})`;
    case 'parent':
      if (!b.from) return `record.${b.path}`;
      return b.from === 'row' ? `row.${b.path}` : undefined;
  }
  return undefined;
}

/** A relation of an input, from what that is given; undefined where that cannot be said here. */
function followed(b: Extract<Binding, { rule: 'parent' | 'child' }>, outer: Binding | undefined): Binding | undefined {
  switch (outer?.rule) {
    case 'this':
      return { ...b, from: undefined };
    case 'row':
      return { ...b, from: 'row' };
    case 'input':
      return { ...b, from: outer.value };
    case 'parent':
      return b.rule === 'parent' ? { ...b, from: outer.from, path: `${outer.path}.${b.path}` } : undefined;
  }
  return undefined;
}
