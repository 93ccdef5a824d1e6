import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { api, ask, Refused } from '../../api/client';
import { Action, Line, Select } from '../../ui/controls';
import { type RoleDoc, rolesOf, screensOf, text } from '../document';
import { at, newId, put } from '../edit';
import { useRights } from './context';
import { Matrix } from './Matrix';
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
  const add = () =>
    void edit([
      {
        op: 'add',
        path: `/${newId('r')}`,
        value: {
          kind: 'role',
          name: 'New role',
          pos: Math.max(0, ...roles.map((r) => r.pos)) + 1,
          start: screensOf(entities)[0]?.id ?? '',
        },
      },
    ]);
  return (
    <>
      <ViewHead title="Roles and people">
        The first role that a person has, from the top, decides where they start.
      </ViewHead>
      <Box as="ol" listStyleType="none" mb="8px" aria-label="Roles in order">
        {roles.map((r, i) => (
          <RoleLine key={r.id} role={r} above={roles[i - 1]} below={roles[i + 1]} first={i === 0} />
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

function RoleLine(p: { role: RoleDoc; above: RoleDoc | undefined; below: RoleDoc | undefined; first: boolean }) {
  const { role } = p;
  const { draft, entities, edit } = useRights();
  const [name, setName] = useState(role.name);
  const used = draft.people.some((who) => who.roles.includes(role.name));
  const granted = Object.values(entities).some((e) => text(e, 'kind') === 'grant' && text(e, 'role') === role.id);
  const swap = (other: RoleDoc | undefined) =>
    other && void edit([...put(entities, [role.id, 'pos'], other.pos), ...put(entities, [other.id, 'pos'], role.pos)]);
  const rename = () => {
    const next = name.trim();
    if (next && next !== role.name) void edit(put(entities, [role.id, 'name'], next));
    else setName(role.name);
  };
  return (
    <Flex as="li" align="center" gap="10px" py="4px" borderBottomWidth="1px" borderColor="rule">
      <Flex direction="column">
        <Action
          tone="quiet"
          minH="24px"
          px="8px"
          aria-label={`${role.name} up`}
          disabled={!p.above}
          onClick={() => swap(p.above)}
        >
          ▲
        </Action>
        <Action
          tone="quiet"
          minH="24px"
          px="8px"
          aria-label={`${role.name} down`}
          disabled={!p.below}
          onClick={() => swap(p.below)}
        >
          ▼
        </Action>
      </Flex>
      <Line
        aria-label={`Name of ${role.name}`}
        value={name}
        w="200px"
        fontWeight="700"
        onChange={(e) => setName(e.target.value)}
        onBlur={rename}
        onKeyDown={(e) => e.key === 'Enter' && rename()}
      />
      <Box as="label" display="flex" alignItems="center" gap="8px" fontSize="note" color="muted">
        starts at
        <Select
          value={text(at(entities, [role.id, 'start']))}
          onChange={(e) => void edit(put(entities, [role.id, 'start'], e.target.value))}
        >
          {screensOf(entities).map((s) => (
            <option key={s.id} value={s.id}>
              {s.title}
            </option>
          ))}
        </Select>
      </Box>
      <Box flex="1" />
      <Action
        tone="quiet"
        disabled={used || granted}
        title={used ? 'Somebody has this role' : granted ? 'It has grants: take them away first' : undefined}
        onClick={() => void edit([{ op: 'remove', path: `/${role.id}` }])}
      >
        remove
      </Action>
    </Flex>
  );
}
