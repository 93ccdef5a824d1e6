import { Box, Flex } from '@chakra-ui/react';
import type { TableRow } from '../../../api/client';
import { entityOf } from '../../../document/parts';
import { rolesOf } from '../../../document/project';
import { openFindings } from '../../whole/findings';
import { useRights } from '../context';
import { GrantLine } from '../rights/GrantLine';
import { ViewHead } from '../ViewHead';
import { FieldList } from './FieldList';
import { OrderList } from './OrderList';
import { TableLists } from './TableLists';
import { TableMaking } from './TableMaking';
import { TableTelling } from './TableTelling';
import { TableWords } from './TableWords';
import { TallyList } from './TallyList';

/** One table: who may do what with it, its fields and what they refer to, and its figures. */
export function TablePage({ row }: { row: TableRow }) {
  const { draft, entities } = useRights();
  const findings = openFindings(draft).filter(
    (f) => f.entity === row.table || entityOf(entities, f.entity, 'grant')?.table === row.table,
  );
  const roles = rolesOf(entities);
  const table = entityOf(entities, row.table, 'table');
  return (
    <>
      <ViewHead title={row.label}>
        {table?.relation} in {entityOf(entities, table?.source, 'source')?.name}
      </ViewHead>
      <Box overflowY="auto" flex="1" minH={0}>
        <TableWords table={row.table} />
        <TableTelling table={row.table} />
        <TableMaking table={row.table} />
        <Head>Who may do what</Head>
        {findings.map((f) => (
          <Box
            key={f.words}
            role="note"
            fontSize="note"
            fontWeight="700"
            color={f.severity === 'broken' ? 'brick' : 'amberText'}
            mb="4px"
          >
            <span aria-hidden="true">{f.severity === 'broken' ? '✕ ' : '? '}</span>
            {f.words}
          </Box>
        ))}
        <Box mb="20px">
          {row.cells.map((c) =>
            c.grants.map((g, i) => (
              <Box key={c.role + (g.id ?? '')} py="2px" borderBottomWidth="1px" borderColor="rule">
                <GrantLine
                  role={c.role}
                  table={row.table}
                  grant={g}
                  name={roles.find((r) => r.id === c.role)?.name ?? ''}
                  last={i === c.grants.length - 1}
                />
              </Box>
            )),
          )}
        </Box>
        <Flex gap="40px" align="flex-start" wrap="wrap">
          <Box flex="1.4" minW="420px">
            <Head>Fields</Head>
            <FieldList table={row.table} />
            <Box h="20px" />
            <Head>What its lists show</Head>
            <TableLists table={row.table} />
          </Box>
          <Box flex="1" minW="340px">
            <Head>Counted over other records</Head>
            <TallyList table={row.table} />
            <Box h="20px" />
            <Head>Sort orders in use</Head>
            <OrderList table={row.table} />
          </Box>
        </Flex>
      </Box>
    </>
  );
}

function Head({ children }: { children: React.ReactNode }) {
  return (
    <Box as="h2" fontWeight="800" mb="6px">
      {children}
    </Box>
  );
}
