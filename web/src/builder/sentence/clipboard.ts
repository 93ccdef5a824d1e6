import { useSyncExternalStore } from 'react';
import type { Json } from '../edit';

/** What was copied in this tab: the wiring of a way, the look of a button. */
export interface Copied {
  wiring?: { words: string; gate: Json };
  look?: { words: string; body: Record<string, Json> };
}

let copied: Copied = {};
const told = new Set<() => void>();

export function copy(what: Copied) {
  copied = { ...copied, ...what };
  for (const tell of told) tell();
}

export function useCopied(): Copied {
  return useSyncExternalStore(
    (tell) => {
      told.add(tell);
      return () => told.delete(tell);
    },
    () => copied,
  );
}

/** What makes a button look as it does. */
export const lookParts = ['tone', 'colour', 'icon', 'picture', 'faces', 'tip'];
