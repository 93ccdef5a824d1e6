import type { Draft, MapPlate, ScreenMap } from '../../../api/client';
import { toMend } from '../findings';

/** What of the map is wanted; the rest steps back. */
export interface Wanted {
  find: string;
  type: string;
  table: string;
  area: string;
  only: '' | 'findings' | 'changed' | 'trapped' | 'unled' | 'unused';
}

export const everything: Wanted = { find: '', type: '', table: '', area: '', only: '' };

/** What is known of plates besides what the map says. */
export interface Known {
  found: Map<string, number>;
  changed: Set<string>;
  used: Set<string>; // plates that somebody was led to, or from
}

export function wants(w: Wanted, p: MapPlate, { found, changed, used }: Known): boolean {
  const words = w.find.trim().toLowerCase();
  if (words && !`${p.title} ${p.area ?? ''} ${p.type}`.toLowerCase().includes(words)) return false;
  if (w.type && p.type !== w.type) return false;
  if (w.table && p.table !== w.table) return false;
  if (w.area && (p.area ?? '') !== w.area) return false;
  switch (w.only) {
    case 'findings':
      return found.has(p.id);
    case 'changed':
      return changed.has(p.id);
    case 'unused':
      return !used.has(p.id);
    case 'trapped':
      return !!p.trapped;
    case 'unled':
      return ['by itself', 'by address', 'never'].includes(p.kind);
    default:
      return true;
  }
}

export function isEverything(w: Wanted): boolean {
  return !w.find.trim() && !w.type && !w.table && !w.area && !w.only;
}

/** How many findings each screen or rail has that nobody lives with. */
export function findingsByPlate(draft: Draft): Map<string, number> {
  const out = new Map<string, number>();
  const rails = new Set(Object.keys(draft.entities).filter((id) => draft.entities[id]?.kind === 'rail'));
  for (const f of toMend(draft)) {
    const at = f.entity && rails.has(f.entity) ? f.entity : f.screen;
    if (at) out.set(at, (out.get(at) ?? 0) + 1);
  }
  return out;
}

/** What is told of the whole, in one line. */
export function summary(map: ScreenMap): string {
  const screens = map.plates.filter((p) => !p.rail);
  const of = (...kinds: string[]) => screens.filter((p) => kinds.includes(p.kind)).length;
  const parts = [
    [of('start', 'sure'), 'surely'],
    [of('given'), 'given what has to be there'],
    [of('maybe'), 'under conditions'],
    [of('by itself'), 'brought by themselves'],
    [of('by address'), 'by address only'],
    [of('never'), 'not at all'],
  ] as const;
  const told = parts.filter(([n]) => n > 0).map(([n, words]) => `${n} ${words}`);
  return `${screens.length} screens: ${told.join(', ')}.`;
}
