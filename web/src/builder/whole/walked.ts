import type { Draft } from '../../api/client';
import { rolesOf } from '../../document/project';

/** The roles of who is walked as, as reach names them: ids in order, joined by +. */
export function walkedRoles(draft: Draft, as: string): string {
  if (as.startsWith('role:')) return as.slice('role:'.length);
  const names = draft.people.find((p) => p.id === as)?.roles ?? [];
  return rolesOf(draft.entities)
    .filter((r) => names.includes(r.name))
    .map((r) => r.id)
    .sort()
    .join('+');
}
