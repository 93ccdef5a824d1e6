/** A place of a trail. */
interface Place {
  trail: string;
  n: number;
}

interface Note extends Place {
  address: string;
  at: number;
}

const slot = 'ambergate.opened';
const soon = 60_000; // ms: a tab that is opened later was not opened from here

/** Notes that an address is being opened in a new tab from a place of this one. */
export function noteOpened(address: string, from: Place, into: Storage = localStorage) {
  const note: Note = { ...from, address, at: Date.now() };
  into.setItem(slot, JSON.stringify(note));
}

/** The place that a new tab was opened from, if it was opened from one. It is told once. */
export function openedFrom(address: string, from: Storage = localStorage): Place | undefined {
  const text = from.getItem(slot);
  if (!text) return undefined;
  const note: Note = JSON.parse(text);
  if (note.address !== address || Date.now() - note.at > soon) return undefined;
  from.removeItem(slot);
  return { trail: note.trail, n: note.n };
}
