import { Box, Flex } from '@chakra-ui/react';
import type { ReachTable } from '../../../api/client';
import { Action, Line, Select } from '../../../ui/controls';
import { saveText } from '../../../ui/files/saveFile';
import { useWhole } from '../context';
import { csvOf, type Shown } from './cells';

const filters: [Shown['only'], string][] = [
  ['all', 'all screens'],
  ['trouble', 'what is in trouble'],
  ['expected', 'what is expected'],
  ['differ', 'where two differ'],
  ['edit', 'what my last edit changed'],
  ['release', 'what changed since the release'],
];

interface HeadProps {
  table: ReachTable;
  shown: Shown;
  onShown: (s: Shown) => void;
  count: number;
}

/** What is shown of the table, and a file of it. */
export function ReachHead({ table, shown, onShown, count }: HeadProps) {
  const { draft } = useWhole();
  const pick = (part: 'one' | 'other', label: string) => (
    <Select
      aria-label={label}
      fontSize="note"
      minH="32px"
      value={shown[part]}
      onChange={(e) => onShown({ ...shown, [part]: e.target.value })}
    >
      <option value="">who?</option>
      {table.who.map((w) => (
        <option key={w.key} value={w.key}>
          {w.name}
        </option>
      ))}
    </Select>
  );
  return (
    <Box pr="18px" mb="10px">
      <Flex align="baseline" gap="12px" minH="30px">
        <Box as="h1" fontSize="head" fontWeight="800" whiteSpace="nowrap">
          Who gets where
        </Box>
        <Box fontSize="note" color="muted">
          in how many presses from their start, proven over all records
        </Box>
      </Flex>
      <Flex align="center" gap="8px" wrap="wrap" mt="6px">
        <Line
          aria-label="Find a screen"
          placeholder="find a screen"
          w="170px"
          minH="32px"
          fontSize="note"
          value={shown.find}
          onChange={(e) => onShown({ ...shown, find: e.target.value })}
        />
        <Select
          aria-label="Which screens"
          fontSize="note"
          minH="32px"
          value={shown.only}
          onChange={(e) => {
            const only = filters.find(([id]) => id === e.target.value)?.[0] ?? 'all';
            const [first, second] = table.who;
            onShown({
              ...shown,
              only,
              one: shown.one || (first?.key ?? ''),
              other: shown.other || (second?.key ?? ''),
            });
          }}
        >
          {filters
            .filter(([id]) => id !== 'release' || draft.released > 0)
            .map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
        </Select>
        {shown.only === 'differ' && pick('one', 'The one')}
        {shown.only === 'differ' && pick('other', 'The other')}
        <Box fontSize="note" color="muted" aria-live="polite">
          {count} of {table.lines.length}
        </Box>
        <Box flex="1" />
        <Action onClick={() => saveText(`${draft.slug}-reach.csv`, 'text/csv', csvOf(table))}>Save as CSV</Action>
      </Flex>
    </Box>
  );
}
