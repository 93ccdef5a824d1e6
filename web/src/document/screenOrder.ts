import type { Document } from './document.gen';
import { type Op, put } from './edit';
import { screensOf } from './screens';

/**
 * Puts a screen into an area, before another one of it, or behind all. Only what comes before it needs a place of its
 * own: the rest stays as it was.
 */
export function placeScreen(d: Document, screen: string, area: string, before: string | undefined): Op[] {
  const others = screensOf(d).filter((s) => (s.area ?? '') === area && s.id !== screen);
  const found = others.findIndex((s) => s.id === before);
  const at = found < 0 ? others.length : found;
  const ops = put(d, [screen, 'area'], area || undefined);
  const place = (id: string, pos: number) => ops.push(...put(d, [id, 'pos'], pos));
  let last = 0;
  for (const s of others.slice(0, at)) {
    if (s.pos === undefined) place(s.id, last + 1);
    last = s.pos ?? last + 1;
  }
  const next = others[at]?.pos;
  place(screen, next === undefined ? last + 1 : (last + next) / 2);
  return ops;
}

/** The screen that one comes before when it is moved a place up or down in its area; "" for behind all, none where it cannot be. */
export function neighbour(d: Document, screen: string, by: -1 | 1): string | undefined {
  const all = screensOf(d);
  const own = all.find((s) => s.id === screen);
  const there = all.filter((s) => (s.area ?? '') === (own?.area ?? ''));
  const at = there.findIndex((s) => s.id === screen);
  if (by < 0) return there[at - 1]?.id;
  return at + 1 < there.length ? (there[at + 2]?.id ?? '') : undefined;
}
