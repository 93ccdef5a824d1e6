import { entityOf } from '../../document/parts';
import type { BuiltElement } from './element';

export const list: BuiltElement<'list'> = {
  words: (e, entities) => e.label || entityOf(entities, e.table, 'table')?.label || '',
  menuOf: 'rows’',
};
