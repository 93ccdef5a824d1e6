import { Flex } from '@chakra-ui/react';
import { type ReactNode, useState } from 'react';
import { entityOf } from '../../../../document/parts';
import { fieldsOf } from '../../../../document/tables';
import { Action, Select } from '../../../../ui/controls';
import { useBuild } from '../../../context';
import type { WayRef } from '../../wiring';
import { EffectFrame, type Standing } from './EffectFrame';
import { useReading } from './useReading';
import { ValueEntry } from './ValueEntry';
import { type Entry, entryOf, unsaid, type Wanted, wantedOf } from './values';

interface Assigned {
  field: string;
  entry: Entry;
}

interface FieldsProps {
  wayRef: WayRef;
  label: string;
  lead: 'set' | 'with';
  table: string | undefined;
  kept: Record<string, string>; // field → expression
  needed?: string[]; // fields that are asked for first; none: the first one
  children?: ReactNode; // what is said before
  own?: string; // what the record is called in expressions; none for one that is not there yet
  standing?: Standing;
  onClose: () => void;
  onDone: (fields: Record<string, string>) => void;
}

const without = (field: string): Assigned => ({ field, entry: unsaid });

/** Fields of a record, and what each gets. */
export function FieldsForm(props: FieldsProps) {
  const { wayRef, label, lead, table, kept, needed, own, standing, children, onClose, onDone } = props;
  const { entities } = useBuild();
  const { problem, entry: read } = useReading(wayRef);
  const fields = fieldsOf(entityOf(entities, table, 'table')).filter((f) => !f.readOnly);
  const wanted = (id: string): Wanted => {
    const f = fields.find((x) => x.id === id);
    return { ...wantedOf(f), nullable: f?.nullable, self: own && `${own}.${id}` };
  };
  const [lines, setLines] = useState<Assigned[]>(() => {
    const there = Object.entries(kept);
    if (there.length === 0) return (needed ?? fields.slice(0, 1).map((f) => f.id)).map(without);
    return there.map(([field, value]) => ({ field, entry: entryOf(wanted(field), value) }));
  });
  const put = (i: number, line: Assigned) => setLines((old) => old.map((l, k) => (k === i ? line : l)));
  const free = fields.filter((f) => !lines.some((l) => l.field === f.id));
  const save = async () => {
    const set: Record<string, string> = {};
    for (const line of lines) {
      const stored = await read(line.entry);
      if (stored === undefined) return;
      set[line.field] = stored;
    }
    onDone(set);
  };
  return (
    <EffectFrame label={label} width="540px" problem={problem} onSave={save} onClose={onClose} standing={standing}>
      {children}
      {lines.map((line, i) => (
        <Flex key={line.field} gap="6px" align="center" wrap="wrap" w="full">
          {i === 0 ? lead : 'and'}
          <Select
            aria-label="Field"
            autoFocus={i === 0 && !children}
            value={line.field}
            onChange={(e) => put(i, without(e.target.value))}
          >
            {fields
              .filter((f) => f.id === line.field || free.includes(f))
              .map((f) => (
                <option key={f.id} value={f.id}>
                  {f.label.toLowerCase()}
                </option>
              ))}
          </Select>
          {lead === 'set' ? 'to' : '='}
          <ValueEntry
            wayRef={wayRef}
            wanted={wanted(line.field)}
            entry={line.entry}
            onEntry={(entry) => put(i, { ...line, entry })}
          />
          {(lines.length > 1 || needed) && (
            <Action
              type="button"
              tone="quiet"
              aria-label="Remove this field"
              onClick={() => setLines(lines.filter((l) => l !== line))}
            >
              remove
            </Action>
          )}
        </Flex>
      ))}
      {free[0] && (
        <Action type="button" tone="quiet" onClick={() => setLines([...lines, without(free[0]?.id ?? '')])}>
          + another field
        </Action>
      )}
    </EffectFrame>
  );
}
