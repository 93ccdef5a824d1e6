import { Box, Flex } from '@chakra-ui/react';
import { useId, useState } from 'react';
import type { ConditionRow, NameInfo } from '../../api/client';
import { Line, Select } from '../../ui/controls';
import { RecordChip } from '../RecordChip';
import { useRecords } from '../useRecords';
import { dayKind } from './days';
import { type Spot, useValues } from './spot';
import type { ValueProps } from './value';

/** One value, by the type of what is compared. */
export function OneValue({ spot, name, row, onChange }: ValueProps) {
  const value = row.value ?? '';
  const set = (v: string) => onChange({ path: row.path, compare: row.compare, value: v });
  const options = name?.choices ?? (name?.type === 'yesno' ? ['true', 'false'] : undefined);
  if (options) {
    return (
      <Select aria-label="Value" value={value} onChange={(e) => set(e.target.value)} maxW="170px">
        {!options.includes(value) && <option value={value}>{value || 'choose'}</option>}
        {options.map((c) => (
          <option key={c} value={c}>
            {{ true: 'yes', false: 'no' }[c] ?? c}
          </option>
        ))}
      </Select>
    );
  }
  const kind = name?.type === 'date' || name?.type === 'moment' ? dayKind(value) : '';
  if (kind === 'today') return null;
  if (kind === 'ago' || kind === 'ahead') {
    const sign = kind === 'ago' ? '-' : '+';
    return (
      <Box w="76px">
        <Line
          aria-label="Days"
          type="number"
          min={0}
          value={value.slice('today()'.length + 1)}
          onChange={(e) => set(`today()${sign}${e.target.value.replace(/\D/g, '') || '0'}`)}
        />
      </Box>
    );
  }
  if (name?.type === 'record' && name.table) return <OneRecord spot={spot} table={name.table} row={row} onSet={set} />;
  return <OneText spot={spot} name={name} value={value} onSet={set} />;
}

/** A value to type: with its unit, and for texts with what the database holds to choose from. */
function OneText(p: { spot: Spot; name: NameInfo | undefined; value: string; onSet: (v: string) => void }) {
  const { name, value } = p;
  const id = useId();
  const [focused, setFocused] = useState(false);
  const values = useValues(p.spot, name, value, focused);
  return (
    <Flex align="center" gap="5px" w={name?.unit ? '150px' : '170px'}>
      <Line
        aria-label="Value"
        type={name?.type === 'date' ? 'date' : 'text'}
        inputMode={name && ['whole', 'decimal', 'number'].includes(name.type) ? 'decimal' : undefined}
        list={name?.type === 'text' ? id : undefined}
        value={value}
        onFocus={() => setFocused(true)}
        onChange={(e) => p.onSet(e.target.value)}
      />
      {name?.type === 'text' && (
        <datalist id={id}>
          {(values.data ?? []).map((v) => (
            <option key={v} value={v} />
          ))}
        </datalist>
      )}
      {name?.unit && (
        <Box fontSize="note" color="muted" whiteSpace="nowrap">
          {name.unit}
        </Box>
      )}
    </Flex>
  );
}

interface RecordProps {
  spot: Spot;
  table: string;
  row: ConditionRow;
  onSet: (key: string) => void;
}

/** One record, found by typing its title. */
function OneRecord({ spot, table, row, onSet }: RecordProps) {
  const kept = useRecords({ project: spot.project, as: spot.as, table, key: row.value, enabled: !!row.value });
  const record = row.value ? { key: row.value, title: kept.data?.[0]?.title ?? row.value } : undefined;
  return (
    <RecordChip
      project={spot.project}
      as={spot.as}
      table={table}
      one=""
      record={record}
      label="Which record"
      onRecord={onSet}
    />
  );
}
