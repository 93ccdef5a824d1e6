import type { KeptDraft, View } from '../api/client';

/** Where what is typed stands until the server says that it has it: in the tab, over a reload. */
export interface Unsent {
  read: () => KeptDraft | undefined;
  write: (draft: KeptDraft) => void;
  drop: () => void;
}

type Kept = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** Keeps it in a storage of the tab, of one form at one place; never what is typed in secret fields. */
export function unsentIn(storage: Kept, at: { trail: string; n: number; depth: number }, view: View): Unsent {
  const { screen, mode, record } = view;
  const name = `ambergate.typed.${at.trail}.${at.n}.${at.depth}.${screen}.${mode}.${record?.key ?? ''}`;
  const secret = new Set(view.elements.flatMap((e) => (e.kind === 'field' && e.field.secret ? [e.field.path] : [])));
  const open = (values: Record<string, string>) =>
    Object.fromEntries(Object.entries(values).filter(([field]) => !secret.has(field)));
  return {
    read: () => {
      try {
        const found: KeptDraft | null = JSON.parse(storage.getItem(name) ?? 'null');
        return found ?? undefined;
      } catch {
        return undefined; // not ours, or cut off
      }
    },
    write: (draft) => {
      const kept = { ...draft, values: open(draft.values), base: open(draft.base) };
      try {
        if (Object.keys(kept.values).length > 0) storage.setItem(name, JSON.stringify(kept));
        else storage.removeItem(name);
      } catch {
        // It is full: the server has it in half a second all the same.
      }
    },
    drop: () => storage.removeItem(name),
  };
}
