import { useSyncExternalStore } from 'react';
import type { ButtonElement, Gate } from '../../document/document.gen';

/** What makes a button look as it does. */
export const lookParts = ['tone', 'colour', 'icon', 'picture', 'faces', 'tip'] as const;

type Look = Pick<ButtonElement, (typeof lookParts)[number]>;

/** What was copied in this tab: the wiring of a way, the look of a button. */
export interface Copied {
  wiring?: { words: string; gate: Gate };
  look?: { words: string; body: Look };
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

/** The look of a button alone. */
export function lookOf(button: ButtonElement): Look {
  const { tone, colour, icon, picture, faces, tip } = button;
  return { tone, colour, icon, picture, faces, tip };
}
