import { Box, Flex } from '@chakra-ui/react';
import type { ConditionRow, NameInfo } from '../../api/client';
import { Action, Select } from '../../ui/controls';
import { comparesFor, withCompare } from './compares';
import { type Spot, useName } from './spot';
import { ValueEditor } from './ValueEditor';

interface RowLineProps {
  spot: Spot;
  names: NameInfo[];
  row: ConditionRow;
  onChange: (r: ConditionRow | undefined) => void;
}

/** One comparison: field, comparison, value. */
export function RowLine({ spot, names, row, onChange }: RowLineProps) {
  const path = row.path ?? '';
  const name = useName(spot, names, path);
  const compares = comparesFor(name);
  const known = compares.some(([id]) => id === row.compare);
  return (
    <Flex align="center" gap="8px">
      <Box flex="1" minW="110px" title={path} lineHeight="1.2">
        <Box fontWeight="700" truncate>
          {name?.words ?? path}
        </Box>
        {name && (
          <Box fontSize="12px" color="muted" truncate>
            {name.kind === 'shared' ? 'shared condition' : `of ${name.of}`}
          </Box>
        )}
      </Box>
      <Select
        aria-label="Comparison"
        value={row.compare}
        onChange={(e) => onChange(withCompare(row, e.target.value))}
        maxW="160px"
      >
        {!known && <option value={row.compare}>{row.compare}</option>}
        {compares.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
      <ValueEditor spot={spot} names={names} name={name} row={row} onChange={onChange} />
      <Action tone="quiet" aria-label="Remove this row" onClick={() => onChange(undefined)}>
        ×
      </Action>
    </Flex>
  );
}
