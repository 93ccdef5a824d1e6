import { Box, Grid } from '@chakra-ui/react';
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
    <Grid templateColumns="minmax(110px, 1fr) 165px 290px 34px" alignItems="center" gap="8px">
      <Box minW={0} title={path} lineHeight="1.2">
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
        w="full"
      >
        {!known && <option value={row.compare}>{row.compare}</option>}
        {compares.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
      <Box>
        <ValueEditor spot={spot} names={names} name={name} row={row} onChange={onChange} />
      </Box>
      <Action tone="quiet" aria-label="Remove this row" onClick={() => onChange(undefined)}>
        ×
      </Action>
    </Grid>
  );
}
