import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import { tablesOf, text } from '../../document';
import { at, type Json } from '../../edit';
import { FieldsForm } from './FieldsForm';
import type { FormProps } from './forms';

/** Of which table a record is added, and what its fields get; what it cannot be without is asked for first. */
export function AddForm({ wayRef, effect, standing, onClose, onDone }: FormProps) {
  const { entities } = useBuild();
  const tables = tablesOf(entities).filter((t) => !t.view);
  const [table, setTable] = useState(text(effect, 'table') || tables[0]?.id || '');
  const kept = (at(effect, ['fields']) as Record<string, Json> | undefined) ?? {};
  const needed = (tables.find((t) => t.id === table)?.fields ?? []).filter(
    (f) => !f.nullable && !f.readOnly && !f.given,
  );
  return (
    <FieldsForm
      key={table}
      wayRef={wayRef}
      label="Add a record"
      lead="with"
      table={table}
      kept={table === text(effect, 'table') ? kept : {}}
      needed={needed.map((f) => f.id)}
      standing={standing}
      onClose={onClose}
      onDone={(fields) => onDone({ kind: 'add', table, fields })}
    >
      <Flex gap="6px" align="center" w="full">
        add a new
        <Select aria-label="Of which table" autoFocus value={table} onChange={(e) => setTable(e.target.value)}>
          {tables.map((t) => (
            <option key={t.id} value={t.id}>
              {t.one}
            </option>
          ))}
        </Select>
      </Flex>
    </FieldsForm>
  );
}
