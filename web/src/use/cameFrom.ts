import { useEffect } from 'react';

/** A place of a trail. */
interface Pointer {
  trail: string;
  n: number;
}

interface Note extends Pointer {
  address: string;
  at: number;
}

const slot = 'ambergate.opened';
const soon = 60_000; // ms: a tab that is opened later was not opened from here

/** Notes that an address is being opened in a new tab from a place of this one. */
export function noteOpened(address: string, from: Pointer) {
  const note: Note = { ...from, address, at: Date.now() };
  localStorage.setItem(slot, JSON.stringify(note));
}

/** The place that a new tab was opened from, if it was opened from one. */
export function openedFrom(address: string): Pointer | undefined {
  const text = localStorage.getItem(slot);
  if (!text) return undefined;
  const note: Note = JSON.parse(text);
  if (note.address !== address || Date.now() - note.at > soon) return undefined;
  localStorage.removeItem(slot);
  return { trail: note.trail, n: note.n };
}

/** Watches for links that are opened in a new tab, by whichever mouse button or key. */
export function useNoteOpened(from: Pointer | undefined) {
  useEffect(() => {
    if (!from) return;
    const note = (e: MouseEvent) => {
      const aside = e.type !== 'click' || e.ctrlKey || e.metaKey || e.shiftKey;
      const link = e.target instanceof Element ? e.target.closest('a') : null;
      if (aside && link?.pathname.startsWith('/use/')) noteOpened(link.pathname + link.search, from);
    };
    const kinds = ['click', 'auxclick', 'contextmenu'] as const;
    for (const kind of kinds) document.addEventListener(kind, note, true);
    return () => {
      for (const kind of kinds) document.removeEventListener(kind, note, true);
    };
  }, [from]);
}
