import { entityOf } from '../../../document/parts';
import { childListsOf, recordTable, screenOf } from '../../../document/screens';
import type { TargetKind } from './target';

const steps = ['first', 'previous', 'next', 'last'] as const;

/** Steps along the list that a screen's record is in, and along its lists of children. */
export const step: TargetKind = ({ entities, screen }) => {
  const one = (table: string | undefined) => entityOf(entities, table, 'table')?.one ?? 'record';
  const own = recordTable(screenOf(entities, screen));
  const come = own
    ? steps.map((s) => ({
        id: `step.${s}`,
        words: `go to the ${s} ${one(own)}`,
        note: 'in the list they came from',
        glyph: 'forward',
        group: 'Along a list',
        move: { kind: 'step' as const, step: s },
      }))
    : [];
  const children = childListsOf(entities, screen).flatMap((list) =>
    steps.map((s) => ({
      id: `step.${s}.${list.id}`,
      words: `choose the ${s} ${one(list.table)}`,
      note: list.label || 'of the list on this screen',
      glyph: 'list',
      group: 'Along a list',
      move: { kind: 'step' as const, step: s, list: list.id },
    })),
  );
  return [...come, ...children];
};
