import type { Document, Entity } from './document.gen';

/** A part of the document with the id under which it is kept. */
export type Kept<T> = T & { id: string };

export type EntityKind = Entity['kind'];

/** The entity of one kind. */
export type EntityOf<K extends EntityKind> = Extract<Entity, { kind: K }>;

/** What a map by id holds, in order of position. */
export function inOrder<T extends { pos: number }>(map: Record<string, T> | undefined): Kept<T>[] {
  return kept(map).sort((a, b) => a.pos - b.pos);
}

/** What a map by id holds, each with its id. */
export function kept<T extends object>(map: Record<string, T> | undefined): Kept<T>[] {
  return Object.entries(map ?? {}).map(([id, part]) => ({ ...part, id }));
}

/** The position behind all others. */
export function posBehind(parts: { pos: number }[]): number {
  return Math.max(0, ...parts.map((p) => p.pos)) + 1;
}

/** The ids that a set in the document holds. */
export function idsIn(set: Record<string, boolean> | undefined): string[] {
  return Object.keys(set ?? {}).filter((id) => set?.[id] === true);
}

/** A set of ids as the document keeps it; undefined for an empty one. */
export function asSet(ids: Iterable<string>): Record<string, boolean> | undefined {
  const all = Object.fromEntries([...ids].map((id) => [id, true]));
  return Object.keys(all).length > 0 ? all : undefined;
}

function isKind<K extends EntityKind>(e: Entity | undefined, kind: K): e is EntityOf<K> {
  return e?.kind === kind;
}

/** The entities of one kind. */
export function entitiesOf<K extends EntityKind>(d: Document, kind: K): Kept<EntityOf<K>>[] {
  return Object.entries(d).flatMap(([id, e]) => (isKind(e, kind) ? [{ ...e, id }] : []));
}

/** The entity under an id, if it is there and of that kind. */
export function entityOf<K extends EntityKind>(d: Document, id: string | undefined, kind: K): EntityOf<K> | undefined {
  const e = d[id ?? ''];
  return isKind(e, kind) ? e : undefined;
}

/** What people call an entity by. */
export function nameOfEntity(e: Entity | undefined): string {
  if (!e) return '';
  if ('title' in e && e.kind !== 'table') return e.title;
  if ('name' in e) return e.name;
  return 'label' in e ? e.label : '';
}
