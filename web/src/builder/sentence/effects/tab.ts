import { inOrder } from '../../../document/parts';
import { elementsOf } from '../../../document/screens';
import type { BuiltEffect } from './effect';

/** Shows a tab of a block of tabs. */
export const tab: BuiltEffect<'tab'> = {
  actions: ({ entities, screen }) =>
    elementsOf(entities, screen).flatMap((e) =>
      e.kind !== 'tabs'
        ? []
        : inOrder(e.tabs).map((t) => ({
            id: `tab.${e.id}.${t.id}`,
            words: `show the tab “${t.label}”`,
            group: 'What is looked at',
            body: { kind: 'tab', block: e.id, tab: t.id },
          })),
    ),
};
