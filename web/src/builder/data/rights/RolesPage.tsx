import { Box } from '@chakra-ui/react';
import type { Role } from '../../../document/document.gen';
import { newId } from '../../../document/edit';
import { posBehind } from '../../../document/parts';
import { rolesOf } from '../../../document/project';
import { screensOf } from '../../../document/screens';
import { Action } from '../../../ui/controls';
import { useRights } from '../context';
import { ViewHead } from '../ViewHead';
import { Matrix } from './Matrix';
import { RoleLine } from './RoleLine';
import { usePeople } from './usePeople';

/** Roles in their order with their start screens, and who has which. */
export function RolesPage({ onPeople }: { onPeople: () => Promise<unknown> }) {
  const { draft, entities, edit } = useRights();
  const roles = rolesOf(entities);
  const people = usePeople(onPeople);
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
      <Box flex="1" minH={0} overflowY="auto">
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
        {people.problem && (
          <Box color="brick" role="alert" mb="6px">
            {people.problem}
          </Box>
        )}
        <Matrix
          label="Roles and people"
          columns={[...roles.map((r) => ({ id: r.id, head: r.name })), ...rights.map(([id, head]) => ({ id, head }))]}
          rows={draft.people.map((p) => ({
            id: p.id,
            head: p.name,
            cells: [
              ...roles.map((r) => cell(p.id, p.name, r.id, r.name, p.roles.includes(r.name))),
              ...rights.map(([id, words]) => cell(p.id, p.name, id, words, p[id])),
            ],
          }))}
          chosen={undefined}
          onChoose={(id) => {
            const [person = '', what = ''] = id.split('|');
            people.turn(person, what);
          }}
        />
        <Box fontSize="note" color="muted" mt="6px">
          {draft.administers
            ? 'A press on a cell gives or takes it at once, without a release. The log says who did.'
            : 'Only who administers this application gives roles and rights.'}
        </Box>
      </Box>
    </>
  );
}

/** The two rights beside roles. */
const rights: ['builds' | 'administers', string][] = [
  ['builds', 'Builds it'],
  ['administers', 'Administers it'],
];

function cell(person: string, name: string, id: string, words: string, has: boolean) {
  return {
    id: `${person}|${id}`,
    label: `${name}, ${words}: ${has ? 'has it' : 'has it not'}`,
    content: has ? (
      <Box color="pine" fontWeight="800">
        ✓ has it
      </Box>
    ) : (
      <Box color="muted">–</Box>
    ),
  };
}
