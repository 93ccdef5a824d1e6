import { Box, Flex } from '@chakra-ui/react';
import { useId, useState } from 'react';
import type { ConditionRow, NameInfo } from '../../api/client';
import { Line, Select } from '../../ui/controls';
import { RecordChip } from '../RecordChip';
import { useRecords } from '../useRecords';
import { alone, takesMany } from './compares';
import { type Spot, useValues } from './spot';

interface ValueProps {
  spot: Spot;
  names: NameInfo[];
  name: NameInfo | undefined;
  row: ConditionRow;
  onChange: (r: ConditionRow) => void;
}

/** What a row compares with: a value fitting its type, a day counted from today, or another field. */
export function ValueEditor(p: ValueProps) {
  const { row, name, onChange } = p;
  if (alone(row.compare)) return null;
  if (takesMany(row.compare)) return <ManyValues {...p} />;
  const others = name?.choices || name?.kind === 'roles' ? [] : p.names.filter((n) => comparable(n, name));
  const dated = name?.type === 'date' || name?.type === 'moment';
  const how = row.with ? `with:${row.with}` : dated ? dayKind(row.value ?? '') : 'value';
  const choose = (kind: string) => {
    if (kind.startsWith('with:')) return onChange({ path: row.path, compare: row.compare, with: kind.slice(5) });
    onChange({ path: row.path, compare: row.compare, value: dated ? firstOf(kind) : '' });
  };
  return (
    <Flex align="center" gap="6px" flexShrink={0}>
      {(others.length > 0 || dated) && (
        <Select
          aria-label="Compared with"
          value={how}
          onChange={(e) => choose(e.target.value)}
          maxW="200px"
          fontSize="note"
        >
          {dated ? (
            dayKinds.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))
          ) : (
            <option value="value">{name?.type === 'record' ? 'this one' : 'this'}</option>
          )}
          {others.map((n) => (
            <option key={n.path} value={`with:${n.path}`}>
              {n.path === 'user.record' ? n.words : `${n.words} of ${n.of}`}
            </option>
          ))}
        </Select>
      )}
      {!row.with && <OneValue {...p} />}
    </Flex>
  );
}

const dayKinds: [string, string][] = [
  ['today', 'today'],
  ['ago', 'days ago'],
  ['ahead', 'days from now'],
  ['day', 'the day'],
];

function dayKind(value: string): string {
  if (value === 'today()') return 'today';
  if (value.startsWith('today()-')) return 'ago';
  if (value.startsWith('today()+')) return 'ahead';
  return 'day';
}

function firstOf(kind: string): string {
  return { today: 'today()', ago: 'today()-7', ahead: 'today()+7' }[kind] ?? '';
}

/** Whether two names can be compared with each other. */
function comparable(n: NameInfo, to: NameInfo | undefined): boolean {
  if (!to || n.path === to.path || n.kind === 'shared' || n.choices) return false;
  if (to.type === 'record') return n.type === 'record' && n.table === to.table;
  const number = (t: string) => t === 'whole' || t === 'decimal' || t === 'number';
  return n.type === to.type || (number(n.type) && number(to.type));
}

function OneValue({ spot, name, row, onChange }: ValueProps) {
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

/** One record, found by typing its title. */
function OneRecord({
  spot,
  table,
  row,
  onSet,
}: {
  spot: Spot;
  table: string;
  row: ConditionRow;
  onSet: (key: string) => void;
}) {
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

/** Several values: choices to switch on and off, or words with commas between them. */
function ManyValues({ name, row, onChange }: ValueProps) {
  const values = row.values ?? [];
  const set = (next: string[]) => onChange({ path: row.path, compare: row.compare, values: next });
  if (!name?.choices) {
    return (
      <Box w="190px">
        <Line
          aria-label="Values, with commas between them"
          placeholder="one, two, three"
          defaultValue={values.join(', ')}
          onChange={(e) =>
            set(
              e.target.value
                .split(',')
                .map((v) => v.trim())
                .filter(Boolean),
            )
          }
        />
      </Box>
    );
  }
  const order = name.choices;
  return (
    <Flex role="group" aria-label="Values" wrap="wrap" gap="4px" maxW="290px">
      {order.map((c) => {
        const on = values.includes(c);
        return (
          <Box
            as="button"
            key={c}
            aria-pressed={on}
            onClick={() => set(order.filter((o) => (o === c ? !on : values.includes(o))))}
            px="8px"
            minH="30px"
            fontSize="note"
            fontWeight="600"
            borderRadius="3px"
            borderWidth="1px"
            borderColor={on ? 'amber' : 'rule'}
            bg={on ? 'amberSoft' : 'plate'}
            cursor="pointer"
          >
            <span aria-hidden="true">{on ? '✓ ' : ''}</span>
            {c}
          </Box>
        );
      })}
    </Flex>
  );
}
