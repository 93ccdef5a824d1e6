import { entityOf } from '../../document/parts';
import type { BuiltElement } from './element';

export const chart: BuiltElement<'chart'> = {
  words: (e, entities) => e.label || entityOf(entities, e.table, 'table')?.label || '',
  menuOf: 'bars’',
};
