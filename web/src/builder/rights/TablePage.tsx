import { Box, Flex } from '@chakra-ui/react';
import type { TableRow } from '../../api/client';
import { rolesOf, tablesOf, text } from '../document';
import { at } from '../edit';
import { useRights } from './context';
import { GrantLine } from './GrantLine';
import { OrderList } from './OrderList';
import { TallyList } from './TallyList';
import { ViewHead } from './ViewHead';

/** One table: who may do what with it, its fields and what they refer to, and its figures. */
export function TablePage({ row }: { row: TableRow }) {
  const { draft, entities } = useRights();
  const findings = draft.findings.filter(
    (f) => f.entity && (f.entity === row.table || text(entities[f.entity], 'table') === row.table),
  );
  const roles = rolesOf(entities);
  return (
    <>
      <ViewHead title={row.label}>
        {text(at(entities, [row.table, 'relation']))} in{' '}
        {text(entities[text(at(entities, [row.table, 'source']))], 'name')}
      </ViewHead>
      <Box overflowY="auto" flex="1" minH={0}>
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
            <Fields table={row.table} />
          </Box>
          <Box flex="1" minW="340px">
            <Head>Figures counted over other records</Head>
            <TallyList table={row.table} />
            <Box h="20px" />
            <Head>Orders that it is read in</Head>
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

function Fields({ table }: { table: string }) {
  const { entities, openData } = useRights();
  const tables = tablesOf(entities);
  const fields = tables.find((t) => t.id === table)?.fields ?? [];
  const keys = at(entities, [table, 'key']);
  return (
    <Box as="table" w="full" fontSize="note" css={{ borderCollapse: 'collapse' }}>
      <tbody>
        {fields.map((f) => {
          const parent = tables.find((t) => t.id === f.references);
          return (
            <Box as="tr" key={f.id} borderBottomWidth="1px" borderColor="rule">
              <Box as="td" py="4px" fontWeight="700" pr="12px">
                {f.label}
              </Box>
              <Box as="td" pr="12px" fontFamily="mono" color="muted">
                {f.alias}
              </Box>
              <Box as="td" pr="12px" color="muted">
                {parent ? (
                  <Box as="button" color="plum" fontWeight="700" cursor="pointer" onClick={() => openData(parent.id)}>
                    one of {parent.label.toLowerCase()}
                  </Box>
                ) : (
                  (f.choices?.join(', ') ?? typeWords[f.type] ?? f.type)
                )}
                {Array.isArray(keys) && keys.includes(f.id) && ', key'}
              </Box>
            </Box>
          );
        })}
      </tbody>
    </Box>
  );
}

const typeWords: Record<string, string> = {
  text: 'text',
  whole: 'whole number',
  decimal: 'exact number',
  number: 'number',
  yesno: 'yes or no',
  date: 'date',
  moment: 'moment',
};
