import { useState } from 'react';
import { api, ask, Refused } from '../../../api/client';
import { rolesOf } from '../../../document/project';
import { useRights } from '../context';

/** Gives people roles and rights, and takes them. */
export function usePeople(onDone: () => Promise<unknown>) {
  const { project, draft, entities } = useRights();
  const [problem, setProblem] = useState('');
  const send = (person: string, what: string): Promise<unknown> | undefined => {
    const who = draft.people.find((p) => p.id === person);
    if (!who) return undefined;
    const params = { path: { project, person } };
    if (what === 'builds' || what === 'administers') {
      const { builds, administers } = who;
      const body = { builds, administers, [what]: !who[what] };
      return ask(api.PUT('/api/build/{project}/people/{person}/rights', { params, body }));
    }
    const had = rolesOf(entities)
      .filter((r) => who.roles.includes(r.name))
      .map((r) => r.id);
    const roles = had.includes(what) ? had.filter((r) => r !== what) : [...had, what];
    return ask(api.PUT('/api/build/{project}/people/{person}/roles', { params, body: { roles } }));
  };
  const turn = (person: string, what: string) =>
    void send(person, what)?.then(
      () => {
        setProblem('');
        void onDone();
      },
      (e) =>
        setProblem(e instanceof Refused ? `${e.problem.what} ${e.problem.then ?? ''}` : 'It could not be changed.'),
    );
  return { problem, turn };
}
