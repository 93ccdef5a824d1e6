import { inOrder } from '../../document/parts';
import type { BuiltElement } from './element';

export const tabs: BuiltElement<'tabs'> = {
  spots: (e) => inOrder(e.tabs).map((t) => ({ id: `${e.id}.${t.id}`, words: `the tab “${t.label}”`, group: 'Tabs' })),
};
