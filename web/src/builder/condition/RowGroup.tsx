import { Box, Flex } from '@chakra-ui/react';
import type { ConditionRow, NameInfo, Rows } from '../../api/client';
import { Action, Select } from '../../ui/controls';
import { freshRow } from './compares';
import { NamePicker } from './NamePicker';
import { RowLine } from './RowLine';
import type { Spot } from './spot';

/** How deep groups can be put into groups here; deeper ones are shown as well. */
const deepestNew = 3;

interface RowGroupProps {
  spot: Spot;
  names: NameInfo[];
  rows: Rows;
  depth: number;
  lead: string; // the word before the first group: while, where
  onChange: (r: Rows) => void;
  onRemove?: () => void;
}

/** Rows that hold all, any or none of them; groups within groups. */
export function RowGroup({ spot, names, rows, depth, lead, onChange, onRemove }: RowGroupProps) {
  const put = (i: number, row: ConditionRow | undefined) =>
    onChange({ ...rows, rows: rows.rows.flatMap((r, k) => (k !== i ? [r] : row ? [row] : [])) });
  const add = (row: ConditionRow) => onChange({ ...rows, rows: [...rows.rows, row] });
  const move = (i: number, by: number) => {
    const row = rows.rows[i];
    const to = i + by;
    if (!row || to < 0 || to >= rows.rows.length) return;
    const rest = rows.rows.filter((_, k) => k !== i);
    onChange({ ...rows, rows: [...rest.slice(0, to), row, ...rest.slice(to)] });
  };
  return (
    <Box role="group" aria-label={`${rows.mode} of these`}>
      <Flex align="center" gap="6px" fontSize="note" color="muted" mb="6px">
        {lead}
        <Select
          aria-label="All, any or none"
          value={rows.mode}
          onChange={(e) => onChange({ ...rows, mode: e.target.value })}
          fontSize="note"
          fontWeight="700"
          minH="28px"
        >
          <option value="all">all of these hold</option>
          <option value="any">any of these holds</option>
          <option value="none">none of these holds</option>
        </Select>
        {onRemove && (
          <Action tone="quiet" minH="28px" aria-label="Remove this group" onClick={onRemove}>
            ×
          </Action>
        )}
      </Flex>
      <Box borderLeftWidth="3px" borderColor={depth === 0 ? 'amber' : 'rule'} pl="10px">
        {rows.rows.map((r, i) => (
          <Box
            // biome-ignore lint/suspicious/noArrayIndexKey: rows have no other identity than their order
            key={`${i}.${r.path ?? 'group'}`}
            mb="6px"
            title="Alt with arrow up or down moves it"
            onKeyDown={(e) => {
              if (!e.altKey || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return;
              e.preventDefault();
              e.stopPropagation();
              move(i, e.key === 'ArrowUp' ? -1 : 1);
            }}
          >
            {r.group ? (
              <RowGroup
                spot={spot}
                names={names}
                rows={r.group}
                depth={depth + 1}
                lead={rows.mode === 'all' && i > 0 ? 'and' : rows.mode === 'all' ? '' : 'or'}
                onChange={(group) => put(i, { group })}
                onRemove={() => put(i, undefined)}
              />
            ) : (
              <RowLine spot={spot} names={names} row={r} onChange={(next) => put(i, next)} />
            )}
          </Box>
        ))}
        <Flex gap="8px">
          <NamePicker spot={spot} names={names} onChoose={(n) => add(freshRow(n))} />
          {depth < deepestNew && (
            <Action
              tone="quiet"
              onClick={() => add({ group: { mode: rows.mode === 'any' ? 'all' : 'any', rows: [] } })}
            >
              + group
            </Action>
          )}
        </Flex>
      </Box>
    </Box>
  );
}

/** Whether any row is in a group or below it. */
export function hasRows(r: Rows): boolean {
  return r.rows.some((row) => !row.group || hasRows(row.group));
}
