import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { GrantWords } from '../../../api/client';
import { rolesOf } from '../../../document/project';
import { useRights } from '../context';
import { ViewHead } from '../ViewHead';
import { ChosenRight } from './ChosenRight';
import { GrantLine } from './GrantLine';
import { Matrix } from './Matrix';

/** Roles by tables: who may do what with which records, all at one look. */
export function TablesMatrix() {
  const { entities, rights, openData } = useRights();
  const [chosen, setChosen] = useState<string>();
  const roles = rolesOf(entities);
  const [table, role] = chosen?.split('|') ?? [];
  const row = rights.tables.find((t) => t.table === table);
  const cell = row?.cells.find((c) => c.role === role);
  const name = (id: string) => roles.find((r) => r.id === id)?.name ?? '';
  return (
    <>
      <ViewHead title="Roles and tables">
        What each role may do with the records of each table. What several roles of a person allow adds up.
      </ViewHead>
      <Matrix
        label="Roles and tables"
        columns={roles.map((r) => ({ id: r.id, head: r.name }))}
        rows={rights.tables.map((t) => ({
          id: t.table,
          head: (
            <Box
              as="button"
              onClick={() => openData(t.table)}
              cursor="pointer"
              fontWeight="700"
              _hover={{ textDecoration: 'underline' }}
            >
              {t.label}
            </Box>
          ),
          cells: t.cells.map((c) => ({
            id: `${t.table}|${c.role}`,
            label: `${name(c.role)}, ${t.label}: ${c.grants.map(said).join('; ')}`,
            content: c.grants.map((g) => <GrantCell key={g.id ?? 'none'} grant={g} />),
          })),
        }))}
        chosen={chosen}
        onChoose={setChosen}
      />
      <ChosenRight hint="Choose a cell to read it as a sentence and to change it.">
        {row &&
          cell &&
          role &&
          cell.grants.map((g, i) => (
            <GrantLine
              key={g.id ?? 'none'}
              role={role}
              table={row.table}
              grant={g}
              name={`${name(role)}, ${row.label.toLowerCase()}`}
              last={i === cell.grants.length - 1}
            />
          ))}
      </ChosenRight>
    </>
  );
}

function said(g: GrantWords): string {
  if (g.verbs.length === 0) return 'nothing';
  return [g.verbs.join(', '), g.rows && `those where ${g.rows}`, g.changes && `change only those where ${g.changes}`]
    .filter(Boolean)
    .join('; ');
}

function GrantCell({ grant }: { grant: GrantWords }) {
  if (grant.verbs.length === 0) return <Box color="muted">–</Box>;
  const fields = [
    grant.hidden ? `${grant.hidden} hidden` : '',
    grant.readOnly ? `${grant.readOnly} read only` : '',
  ].filter(Boolean);
  return (
    <Box>
      <Box fontWeight="700">{grant.verbs.join(', ')}</Box>
      {grant.rows && <Box color="plum">where {grant.rows}</Box>}
      {grant.changes && <Box color="plum">changes where {grant.changes}</Box>}
      {fields.length > 0 && <Box color="muted">{fields.join(', ')}</Box>}
    </Box>
  );
}
