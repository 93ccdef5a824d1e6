import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { ProposedApplication, TableInfo } from '../../api/client';
import { Action, Line } from '../../ui/controls';
import { rowsInWords } from './rows';
import type { Wishes } from './useWishes';

interface TableChooserProps {
  tables: TableInfo[];
  wishes: Wishes;
  proposed: ProposedApplication | undefined;
  open: string | undefined;
  onOpen: (table: string) => void;
}

/** The tables of the database, to be taken in: what they are called, how many records, what they hang on. */
export function TableChooser({ tables, wishes, proposed, open, onOpen }: TableChooserProps) {
  const [find, setFind] = useState('');
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = tables.filter((t) => {
    const text = [t.schema, t.name, t.label, ...t.columns].join(' ').toLowerCase();
    return words.every((w) => text.includes(w));
  });
  const many = new Set(tables.map((t) => t.schema)).size > 1;
  const named = missing(tables, wishes);
  return (
    <Flex
      direction="column"
      as="aside"
      aria-label="Tables"
      w="300px"
      flexShrink={0}
      borderRightWidth="1px"
      borderColor="rule"
      minH={0}
    >
      <Box p="12px 16px 8px">
        <Flex fontSize="note" color="muted" mb="6px">
          <Box flex="1">Tables to take in</Box>
          {wishes.wish.tables.length} of {tables.length}
        </Flex>
        <Line
          type="search"
          aria-label="Find a table or a column"
          placeholder="find a table or a column"
          value={find}
          onChange={(e) => setFind(e.target.value)}
        />
        {named.length > 0 && (
          <Action mt="8px" w="full" onClick={() => named.forEach((t) => void wishes.take(t.schema, t.name))}>
            Take in what these name too: {named.length}
          </Action>
        )}
      </Box>
      <Box as="ul" listStyleType="none" overflowY="auto" flex="1" aria-label="Tables of the database">
        {shown.map((t) => {
          const key = `${t.schema}.${t.name}`;
          const taken = wishes.has(t.schema, t.name);
          const label = proposed?.tables.find((p) => p.schema === t.schema && p.name === t.name)?.label ?? t.label;
          const turn = () => {
            if (taken) return wishes.remove(t.schema, t.name);
            wishes.take(t.schema, t.name);
            onOpen(key);
          };
          return (
            <Flex
              as="li"
              key={key}
              align="center"
              gap="10px"
              px="16px"
              py="6px"
              borderBottomWidth="1px"
              borderColor="rule"
              borderLeftWidth="3px"
              borderLeftColor={open === key && taken ? 'amber' : 'transparent'}
              bg={open === key && taken ? 'amberSoft' : undefined}
            >
              <input
                type="checkbox"
                aria-label={`Take in ${key}`}
                checked={taken}
                disabled={!t.usable}
                onChange={turn}
              />
              <Box
                as="button"
                textAlign="left"
                flex="1"
                minW={0}
                cursor={t.usable ? 'pointer' : 'default'}
                onClick={() => t.usable && (taken ? onOpen(key) : turn())}
              >
                <Box fontWeight="700" color={t.usable ? 'ink' : 'muted'} overflow="hidden" textOverflow="ellipsis">
                  {label}
                  {many && (
                    <Box as="span" color="muted" fontWeight="400">
                      {' '}
                      {t.schema}
                    </Box>
                  )}
                </Box>
                <Box fontSize="note" color="muted">
                  {[kindWords[t.kind], rowsInWords(t.rows), t.note, hangsOn(t, tables)].filter(Boolean).join(', ')}
                </Box>
              </Box>
            </Flex>
          );
        })}
        {shown.length === 0 && (
          <Box color="muted" p="16px">
            {tables.length === 0
              ? 'There is no table that may be read here.'
              : 'No table has a name or a column like that.'}
          </Box>
        )}
      </Box>
    </Flex>
  );
}

const kindWords: Record<string, string> = { view: 'view', materialised: 'kept view', partitioned: 'in parts' };

function hangsOn(t: TableInfo, tables: TableInfo[]): string {
  const labels = t.refersTo.map((key) => tables.find((x) => `${x.schema}.${x.name}` === key)?.label ?? key);
  return labels.length > 0 ? `hangs on ${labels.slice(0, 3).join(', ')}${labels.length > 3 ? ' …' : ''}` : '';
}

/** Those that the chosen ones name, and that are not chosen yet. */
function missing(tables: TableInfo[], wishes: Wishes): TableInfo[] {
  const named = new Set(tables.filter((t) => wishes.has(t.schema, t.name)).flatMap((t) => t.refersTo));
  return tables.filter((t) => named.has(`${t.schema}.${t.name}`) && t.usable && !wishes.has(t.schema, t.name));
}
