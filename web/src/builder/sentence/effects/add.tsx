import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { fieldsOf, tablesOf } from '../../../document/tables';
import { Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import type { BuiltEffect, FormProps } from './effect';
import { FieldsForm } from './parts/FieldsForm';

/** Adds a record of any table, without a form. */
export const add: BuiltEffect<'add'> = {
  actions: () => [{ id: 'add', words: 'add a record …', note: 'of any table, without a form', group: 'Records' }],
  Form: AddForm,
};

/** Of which table a record is added, and what its fields get; what it cannot be without is asked for first. */
function AddForm({ wayRef, effect, standing, onClose, onDone }: FormProps<'add'>) {
  const { entities } = useBuild();
  const tables = tablesOf(entities).filter((t) => !t.view);
  const [table, setTable] = useState(effect?.table || tables[0]?.id || '');
  const fields = fieldsOf(tables.find((t) => t.id === table));
  const needed = fields.filter((f) => !f.nullable && !f.readOnly && !f.default);
  return (
    <FieldsForm
      key={table}
      wayRef={wayRef}
      label="Add a record"
      lead="with"
      table={table}
      kept={(table === effect?.table && effect.fields) || {}}
      needed={needed.map((f) => f.id)}
      standing={standing}
      onClose={onClose}
      onDone={(set) => onDone({ kind: 'add', table, fields: set })}
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
