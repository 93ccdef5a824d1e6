import { useBuild } from '../../context';
import { recordTable, screensOf, text } from '../../document';
import { at, type Json } from '../../edit';
import { FieldsForm } from './FieldsForm';
import type { FormProps } from './forms';

/** Which fields of the record are set; on a list it is the row's record. */
export function SetForm({ wayRef, effect, standing, onClose, onDone }: FormProps) {
  const { entities, screen } = useBuild();
  const element = at(entities, [screen, 'elements', wayRef.element]);
  const row = text(element, 'kind') === 'list';
  return (
    <FieldsForm
      wayRef={wayRef}
      label="Set fields"
      lead="set"
      table={row ? text(element, 'table') : recordTable(screensOf(entities).find((s) => s.id === screen))}
      kept={(at(effect, ['fields']) as Record<string, Json> | undefined) ?? {}}
      own={row ? 'row' : 'record'}
      standing={standing}
      onClose={onClose}
      onDone={(fields) => onDone({ kind: 'set', fields })}
    />
  );
}
