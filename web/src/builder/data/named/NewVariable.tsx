import { useState } from 'react';
import { tablesOf } from '../../../document/tables';
import { newVariable, variableTypes } from '../../../document/variables';
import { Action, Select } from '../../../ui/controls';
import { useRights } from '../context';
import { NewLine } from '../NewLine';

/** A further variable: its name and what it holds. */
export function NewVariable() {
  const { entities, edit } = useRights();
  const tables = tablesOf(entities);
  const [label, setLabel] = useState('');
  const [type, setType] = useState('text');
  const [table, setTable] = useState(tables[0]?.id ?? '');
  const add = () => {
    if (!label.trim()) return;
    void edit(newVariable(entities, { label: label.trim(), type, table, screen: '' }).ops);
    setLabel('');
  };
  return (
    <NewLine label="Name of a new variable" hint="my lift" name={label} onName={setLabel} onSubmit={add}>
      <Select aria-label="What it holds" value={type} onChange={(e) => setType(e.target.value)}>
        {variableTypes.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
      {type === 'record' && (
        <Select aria-label="Of which table" value={table} onChange={(e) => setTable(e.target.value)}>
          {tables.map((t) => (
            <option key={t.id} value={t.id}>
              {t.label.toLowerCase()}
            </option>
          ))}
        </Select>
      )}
      <Action type="submit" disabled={!label.trim()}>
        Add
      </Action>
    </NewLine>
  );
}
