import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Role } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { entitiesOf, type Kept } from '../../../document/parts';
import { screensOf } from '../../../document/screens';
import { Action, Line, Select } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';
import { RoleRound } from './RoleRound';

type RoleDoc = Kept<Role>;

/** One role: its place in the order, its name, and where it starts. */
export function RoleLine(p: { role: RoleDoc; above: RoleDoc | undefined; below: RoleDoc | undefined }) {
  const { role } = p;
  const { draft, entities, edit } = useRights();
  const [name, setName] = useState(role.name);
  const used = draft.people.some((who) => who.roles.includes(role.name));
  const granted = entitiesOf(entities, 'grant').some((g) => g.role === role.id);
  const swap = (other: RoleDoc | undefined) =>
    other && void edit([...put(entities, [role.id, 'pos'], other.pos), ...put(entities, [other.id, 'pos'], role.pos)]);
  const rename = () => {
    const next = name.trim();
    if (next && next !== role.name) void edit(put(entities, [role.id, 'name'], next));
    else setName(role.name);
  };
  const number = (typed: string) => Number(typed.replace(',', '.') || 0);
  const idle = (typed: string) => {
    const seconds = Math.round(number(typed) * 60);
    if (seconds !== 0 && !(seconds >= 10 && seconds <= 86_400)) return;
    void edit([
      ...put(entities, [role.id, 'idle'], seconds || undefined),
      ...(role.warn && role.warn > seconds ? put(entities, [role.id, 'warn'], undefined) : []),
    ]);
  };
  const warn = (typed: string) => {
    const seconds = number(typed);
    if (seconds >= 0 && seconds <= (role.idle ?? 0)) void edit(put(entities, [role.id, 'warn'], seconds || undefined));
  };
  return (
    <Box as="li" borderBottomWidth="1px" borderColor="rule">
      <Flex align="center" gap="10px" py="4px">
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
          <Select value={role.start} onChange={(e) => void edit(put(entities, [role.id, 'start'], e.target.value))}>
            {screensOf(entities).map((s) => (
              <option key={s.id} value={s.id}>
                {s.title}
              </option>
            ))}
          </Select>
        </Box>
        <Box fontSize="note" color="muted" whiteSpace="nowrap">
          back there after{' '}
          <Typed
            label={`Minutes untouched after which ${role.name} goes back to the start`}
            hint="never"
            width="62px"
            value={role.idle ? String(role.idle / 60) : ''}
            onSave={idle}
          />{' '}
          min untouched
          {role.idle ? (
            <>
              , told{' '}
              <Typed
                label={`Seconds for which ${role.name} is told before`}
                hint="0"
                width="48px"
                value={role.warn ? String(role.warn) : ''}
                onSave={warn}
              />{' '}
              s before
            </>
          ) : null}
        </Box>
        <Box flex="1" />
        <Action
          tone="quiet"
          disabled={used || granted}
          title={used ? 'Somebody has this role' : granted ? 'It has grants: remove them first' : undefined}
          onClick={() => void edit([{ op: 'remove', path: `/${role.id}` }])}
        >
          remove
        </Action>
      </Flex>
      <RoleRound role={role} />
    </Box>
  );
}
