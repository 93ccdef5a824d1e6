import { add } from './add';
import { addRow } from './addRow';
import { clear } from './clear';
import { del } from './delete';
import { drawer } from './drawer';
import {
  type Action,
  type BuiltEffect,
  type EffectsOf,
  type FormProps,
  groups,
  type Kind,
  type OfKind,
} from './effect';
import { exports_ } from './export';
import { filter } from './filter';
import { find } from './find';
import { print } from './print';
import { refresh } from './refresh';
import { save } from './save';
import { set } from './set';
import { setVar } from './setVar';
import { sort } from './sort';
import { tab } from './tab';
import { write } from './write';

/** Each kind of effect, in the order in which they are offered: one that is missing here does not compile. */
export const effects: { [K in Kind]: BuiltEffect<K> } = {
  save,
  set,
  add,
  addRow,
  delete: del,
  filter,
  clear,
  sort,
  find,
  export: exports_,
  tab,
  refresh,
  print,
  setVar,
  drawer,
  write,
};

/** All that can be done on a screen, found by any word of it; each with the kind that it is of. */
export function actionsOf(of: EffectsOf): (Action & { kind: Kind })[] {
  const kinds = Object.keys(effects) as Kind[]; // the registry has no other keys
  const all = kinds.flatMap((kind) => effects[kind].actions(of).map((a) => ({ ...a, kind })));
  return groups.flatMap((group) => all.filter((a) => a.group === group));
}

/** The form of an effect that is there already, where something can be said of it. */
export function formOf<K extends Kind>(effect: OfKind<K>, p: Omit<FormProps<K>, 'effect'>) {
  const of: BuiltEffect<K> = effects[effect.kind];
  return of.Form && <of.Form {...p} effect={effect} />;
}

/** The form of a new effect. */
export function newForm<K extends Kind>(kind: K, p: Omit<FormProps<K>, 'effect' | 'standing'>) {
  const of: BuiltEffect<K> = effects[kind];
  return of.Form && <of.Form {...p} />;
}
