import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import { recordTable, screensOf, tablesOf, text } from '../../document';
import { at, type Json } from '../../edit';
import { EffectFrame } from './EffectFrame';
import type { FormProps } from './forms';
import { useReading } from './useReading';
import { ValueEntry } from './ValueEntry';
import { type Entry, entryOf, type Wanted } from './values';

interface Assigned {
  field: string;
  entry: Entry;
}

/** Which fields of the record are set, and to what. */
export function SetForm({ wayRef, effect, standing, onClose, onDone }: FormProps) {
  const { entities, screen } = useBuild();
  const { problem, entry: read } = useReading(wayRef);
  // On a list it is the row's record.
  const element = at(entities, [screen, 'elements', wayRef.element]);
  const row = text(element, 'kind') === 'list';
  const tableId = row ? text(element, 'table') : recordTable(screensOf(entities).find((s) => s.id === screen));
  const fields = (tablesOf(entities).find((t) => t.id === tableId)?.fields ?? []).filter((f) => !f.readOnly);
  const wanted = (id: string): Wanted => {
    const f = fields.find((x) => x.id === id);
    return {
      type: f?.type ?? 'text',
      table: f?.references,
      choices: f?.choices,
      unit: f?.unit,
      nullable: f?.nullable,
      self: `${row ? 'row' : 'record'}.${id}`,
    };
  };
  const [lines, setLines] = useState<Assigned[]>(() => {
    const kept = Object.entries((at(effect, ['fields']) as Record<string, Json> | undefined) ?? {});
    if (kept.length === 0) return [{ field: fields[0]?.id ?? '', entry: { how: '', typed: '' } }];
    return kept.map(([field, value]) => ({ field, entry: entryOf(wanted(field), String(value)) }));
  });
  const put = (i: number, line: Assigned) => setLines((old) => old.map((l, k) => (k === i ? line : l)));
  const free = fields.filter((f) => !lines.some((l) => l.field === f.id));
  const save = async () => {
    const set: Record<string, Json> = {};
    for (const line of lines) {
      const stored = await read(line.entry);
      if (stored === undefined) return;
      set[line.field] = stored;
    }
    onDone({ kind: 'set', fields: set });
  };
  return (
    <EffectFrame label="Set fields" width="540px" problem={problem} onSave={save} onClose={onClose} standing={standing}>
      {lines.map((line, i) => (
        <Flex key={line.field} gap="6px" align="center" wrap="wrap" w="full">
          {i === 0 ? 'set' : 'and'}
          <Select
            aria-label="Field"
            autoFocus={i === 0}
            value={line.field}
            onChange={(e) => put(i, { field: e.target.value, entry: { how: '', typed: '' } })}
          >
            {fields
              .filter((f) => f.id === line.field || free.includes(f))
              .map((f) => (
                <option key={f.id} value={f.id}>
                  {f.label.toLowerCase()}
                </option>
              ))}
          </Select>
          to
          <ValueEntry
            wayRef={wayRef}
            wanted={wanted(line.field)}
            entry={line.entry}
            onEntry={(entry) => put(i, { ...line, entry })}
          />
          {lines.length > 1 && (
            <Action type="button" tone="quiet" onClick={() => setLines(lines.filter((l) => l !== line))}>
              not this
            </Action>
          )}
        </Flex>
      ))}
      {free[0] && (
        <Action
          type="button"
          tone="quiet"
          onClick={() => setLines([...lines, { field: free[0]?.id ?? '', entry: { how: '', typed: '' } }])}
        >
          + another field
        </Action>
      )}
    </EffectFrame>
  );
}
