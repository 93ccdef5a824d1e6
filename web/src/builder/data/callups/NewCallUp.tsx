import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { CallUp } from '../../../document/document.gen';
import { newId } from '../../../document/edit';
import { entitiesOf } from '../../../document/parts';
import { tablesOf } from '../../../document/tables';
import { Action, Select } from '../../../ui/controls';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { Pop } from '../../Pop';
import { useRights } from '../context';
import { NewLine } from '../NewLine';
import { inputFor, screensFor } from './leads';

/** A further call-up: its name, what it is asked of, and when it comes. */
export function NewCallUp({ pos }: { pos: number }) {
  const { project, as, entities, edit } = useRights();
  const equipped = new Set(entitiesOf(entities, 'equipment').map((e) => e.table));
  const tables = tablesOf(entities).filter((t) => equipped.has(t.id));
  const [name, setName] = useState('');
  const [table, setTable] = useState(tables[0]?.id ?? '');
  const [open, setOpen] = useState(false);
  const screens = screensFor(entities, table || undefined);
  // The likeliest first: an operator screen that takes the record.
  const target =
    screens.find((s) => s.type === 'operator' && inputFor(s, table)) ??
    screens.find((s) => inputFor(s, table)) ??
    screens[0];
  const save = (stored: string | undefined) => {
    setOpen(false);
    if (!stored || !target) return;
    const input = inputFor(target, table || undefined);
    const body: CallUp = {
      kind: 'callUp',
      pos,
      name: name.trim(),
      while: stored,
      screen: target.id,
      ...(table ? { table } : {}),
      ...(input ? { input } : {}),
    };
    setName('');
    void edit([{ op: 'add', path: `/${newId('cu')}`, value: body }]);
  };
  return (
    <NewLine
      label="Name of a new call-up"
      hint="strong gusts"
      name={name}
      onName={setName}
      onSubmit={() => name.trim() && setOpen(true)}
    >
      <Box as="label" display="flex" alignItems="center" gap="6px" fontSize="note" color="muted">
        asked of
        <Select value={table} onChange={(e) => setTable(e.target.value)}>
          {tables.map((t) => (
            <option key={t.id} value={t.id}>
              each {t.one}
            </option>
          ))}
          <option value="">the plant as a whole</option>
        </Select>
      </Box>
      <Action type="submit" disabled={!name.trim() || !target}>
        Say when …
      </Action>
      {!target && <Box color="muted">There is no screen yet that it could bring to the front.</Box>}
      {open && (
        <Pop label="New call-up" onClose={() => setOpen(false)}>
          <ConditionEditor
            spot={{ project, as, table: table || undefined, use: 'callup' }}
            stored=""
            lead="while"
            onClose={() => setOpen(false)}
            onSave={save}
          />
        </Pop>
      )}
    </NewLine>
  );
}
