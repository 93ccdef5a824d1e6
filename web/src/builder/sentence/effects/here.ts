import { entityOf } from '../../../document/parts';
import { mainListOf, recordTable, screenOf } from '../../../document/screens';
import { fieldsOf } from '../../../document/tables';
import type { EffectsOf } from './effect';

/** The table of the record that a screen is about. */
export function tableHere({ entities, screen }: EffectsOf) {
  return entityOf(entities, recordTable(screenOf(entities, screen)), 'table');
}

/** What one record of a table is called. */
export function oneOf({ entities }: EffectsOf, table: string) {
  return entityOf(entities, table, 'table')?.one ?? 'row';
}

/** The fields of what a screen's main list shows. */
export function listFields({ entities, screen }: EffectsOf) {
  return fieldsOf(entityOf(entities, mainListOf(entities, screen)?.table, 'table'));
}
