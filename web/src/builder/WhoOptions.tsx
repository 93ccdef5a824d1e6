import type { Draft } from '../api/client';
import { rolesOf } from '../document/project';

/** Whom one can walk as: real people, where one may, and anybody with one role. */
export function WhoOptions({ draft }: { draft: Draft }) {
  return (
    <>
      {draft.walks && (
        <optgroup label="People">
          {draft.people
            .filter((p) => p.roles.length > 0)
            .map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}, {p.roles.join(', ').toLowerCase()}
              </option>
            ))}
        </optgroup>
      )}
      <optgroup label="Anybody with one role">
        {rolesOf(draft.entities).map((r) => (
          <option key={r.id} value={`role:${r.id}`}>
            any {r.name.toLowerCase()}
          </option>
        ))}
      </optgroup>
    </>
  );
}
