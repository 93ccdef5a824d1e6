import type { Op } from '../../api/client';
import { at, type Entities, newId, put } from '../edit';

export const verbs = ['view', 'add', 'edit', 'delete'] as const;
export type Verb = (typeof verbs)[number];

/** What a grant allows now; nothing without one. */
export function verbsOf(entities: Entities, id: string | undefined): Set<Verb> {
  return new Set(verbs.filter((v) => id !== undefined && at(entities, [id, v]) === true));
}

/** Lets a role do just these things with a table: makes the grant, changes it, or takes it away. */
export function setVerbs(
  entities: Entities,
  g: { id: string | undefined; role: string; table: string },
  next: Set<Verb>,
): Op[] {
  if (!g.id) {
    if (next.size === 0) return [];
    const flags = Object.fromEntries([...next].map((v) => [v, true]));
    return [{ op: 'add', path: `/${newId('gr')}`, value: { kind: 'grant', role: g.role, table: g.table, ...flags } }];
  }
  const { id } = g;
  if (next.size === 0) return [{ op: 'remove', path: `/${id}` }];
  const had = verbsOf(entities, id);
  return verbs.flatMap((v) =>
    had.has(v) === next.has(v) ? [] : put(entities, [id, v], next.has(v) ? true : undefined),
  );
}

/** Another grant of the same role on the same table: what both allow adds up. */
export function addGrant(role: string, table: string): Op[] {
  return [{ op: 'add', path: `/${newId('gr')}`, value: { kind: 'grant', role, table, view: true } }];
}

/** A set of ids as the document keeps it; undefined for an empty one. */
export function asSet(ids: Iterable<string>): Record<string, boolean> | undefined {
  const all = Object.fromEntries([...ids].map((id) => [id, true]));
  return Object.keys(all).length > 0 ? all : undefined;
}

/** The ids that a set in the document holds. */
export function idsIn(entities: Entities, path: string[]): string[] {
  const found = at(entities, path);
  if (typeof found !== 'object' || found === null || Array.isArray(found)) return [];
  return Object.keys(found).filter((id) => found[id] === true);
}
