import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { asSet } from '../../../document/parts';
import { rolesOf } from '../../../document/project';
import { Action } from '../../../ui/controls';
import { Tick } from '../../../ui/Tick';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { gateOf, putGate } from '../wiring';
import type { ChipProps } from './chip';

/** For whom: everyone, or those with one of the chosen roles. */
export function RolesPicker({ wayRef, onClose }: ChipProps) {
  const { entities, edit } = useBuild();
  const roles = rolesOf(entities);
  const now = gateOf(wayRef)?.roles;
  const [chosen, setChosen] = useState<Set<string>>(
    () => new Set(roles.filter((r) => now === undefined || now[r.id] === true).map((r) => r.id)),
  );
  const all = chosen.size === roles.length;
  const save = () => {
    onClose();
    void edit(putGate(wayRef, ['roles'], all ? undefined : (asSet(chosen) ?? {})));
  };
  return (
    <Pop label="For whom" onClose={onClose}>
      <Box p="12px" minW="240px">
        <Flex gap="8px" mb="8px">
          <Action onClick={() => setChosen(new Set(roles.map((r) => r.id)))}>everyone</Action>
          <Action onClick={() => setChosen(new Set())}>nobody</Action>
        </Flex>
        {roles.map((r) => (
          <Tick
            key={r.id}
            words={r.name}
            on={chosen.has(r.id)}
            onTick={() =>
              setChosen(new Set(chosen.has(r.id) ? [...chosen].filter((c) => c !== r.id) : [...chosen, r.id]))
            }
          />
        ))}
        <Box fontSize="note" color="muted" my="8px" maxW="260px">
          For others it is hidden. That protects what it does, not the screen behind it: a guard does that.
        </Box>
        <Action tone="main" onClick={save}>
          Set roles
        </Action>
      </Box>
    </Pop>
  );
}
