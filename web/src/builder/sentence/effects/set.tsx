import { ownedOf } from '../../../document/owner';
import { recordTable, screenOf } from '../../../document/screens';
import { useBuild } from '../../context';
import type { BuiltEffect, FormProps } from './effect';
import { tableHere } from './here';
import { FieldsForm } from './parts/FieldsForm';

/** Sets fields of the record. */
export const set: BuiltEffect<'set'> = {
  actions: (of) => {
    const table = tableHere(of);
    return table ? [{ id: 'set', words: `set a field of the ${table.one} …`, group: 'The record' }] : [];
  },
  Form: SetForm,
};

/** Which fields of the record are set; on a list it is the row's record. */
function SetForm({ wayRef, effect, standing, onClose, onDone }: FormProps<'set'>) {
  const { entities, screen } = useBuild();
  const element = ownedOf(entities, screen, wayRef.element)?.element;
  const list = element?.kind === 'list' ? element : undefined;
  return (
    <FieldsForm
      wayRef={wayRef}
      label="Set fields"
      lead="set"
      table={list ? list.table : recordTable(screenOf(entities, screen))}
      kept={effect?.fields ?? {}}
      own={list ? 'row' : 'record'}
      standing={standing}
      onClose={onClose}
      onDone={(fields) => onDone({ kind: 'set', fields })}
    />
  );
}
