import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { aliasOf } from '../../../document/alias';
import type { Condition } from '../../../document/document.gen';
import { newId } from '../../../document/edit';
import { tablesOf } from '../../../document/tables';
import { Action, Select } from '../../../ui/controls';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { Pop } from '../../Pop';
import { useRights } from '../context';
import { NewLine } from '../NewLine';

/** A further shared condition: its name, of which table it speaks, and what it means. */
export function NewCondition() {
  const { project, as, entities, rights, edit } = useRights();
  const tables = tablesOf(entities);
  const [name, setName] = useState('');
  const [table, setTable] = useState(tables[0]?.id ?? '');
  const [open, setOpen] = useState(false);
  const save = (stored: string | undefined) => {
    setOpen(false);
    if (!stored) return;
    const body: Condition = {
      kind: 'condition',
      pos: rights.conditions.length + 1,
      name: name.trim(),
      alias: aliasOf(name),
      text: stored,
      ...(table ? { table } : {}),
    };
    setName('');
    void edit([{ op: 'add', path: `/${newId('c')}`, value: body }]);
  };
  return (
    <NewLine
      label="Name of a new condition"
      hint="in service and mine"
      name={name}
      onName={setName}
      onSubmit={() => setOpen(true)}
    >
      <Box as="label" display="flex" alignItems="center" gap="6px" fontSize="note" color="muted">
        of
        <Select value={table} onChange={(e) => setTable(e.target.value)}>
          {tables.map((t) => (
            <option key={t.id} value={t.id}>
              {t.label.toLowerCase()}
            </option>
          ))}
          <option value="">the user</option>
        </Select>
      </Box>
      <Action type="submit" disabled={!name.trim()}>
        Say what it means …
      </Action>
      {open && (
        <Pop label="New condition" onClose={() => setOpen(false)}>
          <ConditionEditor
            spot={{ project, as, table: table || undefined, use: 'shared' }}
            stored=""
            lead="holds while"
            onClose={() => setOpen(false)}
            onSave={save}
          />
        </Pop>
      )}
    </NewLine>
  );
}
