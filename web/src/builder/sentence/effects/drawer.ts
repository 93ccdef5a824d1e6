import { railsOf } from '../../../document/project';
import type { BuiltEffect } from './effect';

const hows = [
  ['open', 'open'],
  ['close', 'close'],
  ['toggle', 'open or close'],
] as const;

/** Opens or closes a rail that is a drawer. */
export const drawer: BuiltEffect<'drawer'> = {
  actions: ({ entities }) =>
    railsOf(entities)
      .filter((r) => r.drawer)
      .flatMap((r) =>
        hows.map(([how, words]) => ({
          id: `drawer.${r.id}.${how}`,
          words: `${words} the drawer “${r.name}”`,
          group: 'Drawers',
          body: { kind: 'drawer', rail: r.id, how },
        })),
      ),
};
