import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { ApplicationRoles } from '../../api/client';
import { Tick } from '../../ui/Tick';

interface RoleTicksProps {
  applications: ApplicationRoles[];
  roles: Record<string, string[]>; // those that are given, by application
  onTurn: (application: ApplicationRoles, role: string) => void;
  more?: (application: ApplicationRoles) => ReactNode;
}

/** The roles of each application, to be given and removed. */
export function RoleTicks({ applications, roles, onTurn, more }: RoleTicksProps) {
  return applications.map((a) => (
    <Ticks key={a.id} head={a.title}>
      {a.roles.map((r) => (
        <Tick key={r.id} words={r.name} on={roles[a.id]?.includes(r.id) ?? false} onTick={() => onTurn(a, r.id)} />
      ))}
      {more?.(a)}
    </Ticks>
  ));
}

/** Boxes to tick under a head. */
export function Ticks({ head, children }: { head: string; children: ReactNode }) {
  return (
    <Box as="fieldset" mb="10px" border="none">
      <Box as="legend" fontWeight="700" mb="3px">
        {head}
      </Box>
      <Flex gap="4px 16px" wrap="wrap">
        {children}
      </Flex>
    </Box>
  );
}
