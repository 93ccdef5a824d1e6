import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { api, ask, Refused } from '../../api/client';
import type { Role } from '../../document/document.gen';
import { newId } from '../../document/edit';
import { posBehind } from '../../document/parts';
import { rolesOf } from '../../document/project';
import { screensOf } from '../../document/screens';
import { Action } from '../../ui/controls';
import { useRights } from './context';
import { Matrix } from './Matrix';
import { RoleLine } from './RoleLine';
import { ViewHead } from './ViewHead';

/** Roles in their order with their start screens, and who has which. */
export function RolesPage({ onPeople }: { onPeople: () => Promise<unknown> }) {
  const { project, draft, entities, edit } = useRights();
  const roles = rolesOf(entities);
  const [problem, setProblem] = useState('');
  const turn = (person: string, role: string) => {
    const who = draft.people.find((p) => p.id === person);
    if (!who) return;
    const had = roles.filter((r) => who.roles.includes(r.name)).map((r) => r.id);
    const next = had.includes(role) ? had.filter((r) => r !== role) : [...had, role];
    ask(
      api.PUT('/api/build/{project}/people/{person}/roles', {
        params: { path: { project, person } },
        body: { roles: next },
      }),
    ).then(
      () => {
        setProblem('');
        void onPeople();
      },
      (e) => setProblem(e instanceof Refused ? e.problem.what : 'It could not be changed.'),
    );
  };
  const add = () => {
    const start = screensOf(entities)[0]?.id ?? '';
    const role: Role = { kind: 'role', name: 'New role', pos: posBehind(roles), start };
    void edit([{ op: 'add', path: `/${newId('r')}`, value: role }]);
  };
  return (
    <>
      <ViewHead title="Roles and people">
        The first role that a person has, from the top, decides where they start.
      </ViewHead>
      <Box as="ol" listStyleType="none" mb="8px" aria-label="Roles in order">
        {roles.map((r, i) => (
          <RoleLine key={r.id} role={r} above={roles[i - 1]} below={roles[i + 1]} />
        ))}
      </Box>
      <Box mb="22px">
        <Action onClick={add}>+ role</Action>
      </Box>
      <Box as="h2" fontWeight="800" mb="8px">
        Who has which
      </Box>
      {problem && (
        <Box color="brick" role="alert" mb="6px">
          {problem}
        </Box>
      )}
      <Matrix
        label="Roles and people"
        columns={roles.map((r) => ({ id: r.id, head: r.name }))}
        rows={draft.people.map((p) => ({
          id: p.id,
          head: p.name,
          cells: roles.map((r) => ({
            id: `${p.id}|${r.id}`,
            label: `${p.name}, ${r.name}: ${p.roles.includes(r.name) ? 'has it' : 'has it not'}`,
            content: p.roles.includes(r.name) ? (
              <Box color="pine" fontWeight="800">
                ✓ has it
              </Box>
            ) : (
              <Box color="muted">–</Box>
            ),
          })),
        }))}
        chosen={undefined}
        onChoose={(id) => {
          const [person = '', role = ''] = id.split('|');
          turn(person, role);
        }}
      />
      <Box fontSize="note" color="muted" mt="6px">
        A press on a cell gives or takes the role at once, without a release.
      </Box>
    </>
  );
}
