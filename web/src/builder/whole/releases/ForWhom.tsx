import { Box } from '@chakra-ui/react';
import { rolesOf } from '../../../document/project';
import { Tick } from '../../../ui/Tick';
import { useWhole } from '../context';

/** Roles and people. */
export interface Some {
  roles: string[];
  people: string[];
}

/** Who uses a release before all do. */
export function ForWhom({ some, onSome }: { some: Some; onSome: (some: Some) => void }) {
  const { draft } = useWhole();
  const toggled = (list: string[], id: string) => (list.includes(id) ? list.filter((i) => i !== id) : [...list, id]);
  return (
    <Box pl="20px" fontSize="note" role="group" aria-label="Who uses it first">
      <Box color="muted" mt="4px">
        whoever has the role
      </Box>
      {rolesOf(draft.entities).map((r) => (
        <Tick
          key={r.id}
          words={r.name}
          on={some.roles.includes(r.id)}
          onTick={() => onSome({ ...some, roles: toggled(some.roles, r.id) })}
        />
      ))}
      <Box color="muted" mt="4px">
        and these people
      </Box>
      <Box maxH="180px" overflowY="auto">
        {draft.people.map((p) => (
          <Tick
            key={p.id}
            words={p.roles.length > 0 ? `${p.name}, ${p.roles.join(', ')}` : p.name}
            on={some.people.includes(p.id)}
            onTick={() => onSome({ ...some, people: toggled(some.people, p.id) })}
          />
        ))}
      </Box>
      <Box color="muted" mt="4px">
        The others stay with what they have until all get it.
      </Box>
    </Box>
  );
}
