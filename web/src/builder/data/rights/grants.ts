import type { Op } from '../../../api/client';
import type { Document, Grant } from '../../../document/document.gen';
import { newId, put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';

export const verbs = ['view', 'add', 'edit', 'delete'] as const;
export type Verb = (typeof verbs)[number];

/** What a grant allows now; nothing without one. */
export function verbsOf(entities: Document, id: string | undefined): Set<Verb> {
  const grant = entityOf(entities, id, 'grant');
  return new Set(verbs.filter((v) => grant?.[v]));
}

/** The verbs among ids. */
export function verbsIn(ids: Set<string>): Set<Verb> {
  return new Set(verbs.filter((v) => ids.has(v)));
}

/** Lets a role do just these things with a table: makes the grant, changes it, or takes it away. */
export function setVerbs(
  entities: Document,
  g: { id: string | undefined; role: string; table: string },
  next: Set<Verb>,
): Op[] {
  if (!g.id) {
    if (next.size === 0) return [];
    const flags = Object.fromEntries([...next].map((v) => [v, true]));
    return [made({ kind: 'grant', role: g.role, table: g.table, ...flags })];
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
  return [made({ kind: 'grant', role, table, view: true })];
}

function made(grant: Grant): Op {
  return { op: 'add', path: `/${newId('gr')}`, value: grant };
}
