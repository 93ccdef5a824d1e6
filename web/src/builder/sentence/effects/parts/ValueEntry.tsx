import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { languageOf } from '../../../../document/project';
import { Line, Select } from '../../../../ui/controls';
import { DateInput } from '../../../../ui/dates/DateInput';
import { readCondition } from '../../../condition/spot';
import { useBuild } from '../../../context';
import { RecordChip } from '../../../RecordChip';
import { useRecords } from '../../../useRecords';
import { proposals, proposalsKey } from '../../proposals';
import { spotOf, type WayRef } from '../../wiring';
import { type Entry, howsFor, type Wanted } from './values';

interface ValueEntryProps {
  wayRef: WayRef;
  wanted: Wanted;
  entry: Entry;
  onEntry: (e: Entry) => void;
  start?: string; // what it begins with, where it can be put back to that
  label?: string;
}

/** What something gets: chosen among what fits, or typed. */
export function ValueEntry({ wayRef, wanted, entry, onEntry, start, label = 'To what' }: ValueEntryProps) {
  const { as, entities } = useBuild();
  const record = wanted.type === 'record' && !!wanted.table;
  const found = useQuery({
    queryKey: proposalsKey(wayRef, wanted.table),
    queryFn: () => proposals(wayRef, wanted.table ?? '', ''),
    enabled: record,
  });
  const hows = howsFor(wanted, found.data);
  if (start !== undefined) hows.push({ id: 'start', words: start ? `its starting value: ${start}` : 'nothing' });
  const known = hows.some((h) => h.id === entry.how);
  const ready = !record || found.data !== undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once the choices are there
  useEffect(() => {
    if (known || !ready) return;
    const stored = entry.how.startsWith('=') ? entry.how.slice(1) : '';
    if (!stored) return onEntry({ how: hows[0]?.id ?? 'work', typed: '' });
    void readCondition(spotOf(wayRef, as), { text: stored, value: true }).then((r) =>
      onEntry({ how: 'work', typed: r.shown }),
    );
  }, [known, ready, entry.how]);
  const type = (typed: string) => onEntry({ ...entry, typed });
  const counted = entry.how === 'ago' || entry.how === 'ahead'; // “14 days from now”
  const line =
    entry.how === 'day' ? (
      <Box w="190px">
        <DateInput
          input={{ 'aria-label': 'Value', label: 'the value' }}
          language={languageOf(entities)}
          value={entry.typed}
          onValue={type}
        />
      </Box>
    ) : (
      /^(text|number|ago|ahead|work)$/.test(entry.how) && (
        <Box w={counted ? '64px' : entry.how === 'number' ? '110px' : '190px'}>
          <Line
            aria-label="Value"
            inputMode={counted || entry.how === 'number' ? 'decimal' : undefined}
            fontFamily={entry.how === 'work' ? 'mono' : undefined}
            placeholder={counted ? '7' : entry.how === 'work' ? 'record.due + duration("168h")' : undefined}
            value={entry.typed}
            onChange={(e) => type(e.target.value)}
          />
        </Box>
      )
    );
  return (
    <>
      {counted && line}
      <Select aria-label={label} value={entry.how} onChange={(e) => onEntry({ how: e.target.value, typed: '' })}>
        {!known && <option value={entry.how}>…</option>}
        {hows.map((h) => (
          <option key={h.id} value={h.id}>
            {h.words}
          </option>
        ))}
      </Select>
      {entry.how === 'key' && wanted.table && (
        <KeptRecord wayRef={wayRef} table={wanted.table} entry={entry} onType={type} />
      )}
      {!counted && line}
      {entry.how === 'number' && wanted.unit}
    </>
  );
}

/** The record that it always is. */
function KeptRecord(p: { wayRef: WayRef; table: string; entry: Entry; onType: (key: string) => void }) {
  const { as } = useBuild();
  const key = p.entry.typed;
  const kept = useRecords({ project: p.wayRef.project, as, table: p.table, key, enabled: key !== '' });
  return (
    <RecordChip
      project={p.wayRef.project}
      as={as}
      table={p.table}
      one=""
      record={key ? { key, title: kept.data?.[0]?.title ?? key } : undefined}
      label="Which record"
      onRecord={p.onType}
    />
  );
}
