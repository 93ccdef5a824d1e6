import type { Document } from '../../../document/document.gen';
import { entityOf } from '../../../document/parts';
import { recordTable, screenOf } from '../../../document/screens';
import { fieldsOf } from '../../../document/tables';
import type { Target } from './target';

const most = 6; // told before all others

interface At {
  entities: Document;
  screen: string;
  row: string | undefined; // table of the rows that the way begins at
  now: string | undefined; // screen that it leads to
}

/**
 * Targets with the likely ones first: the one in force, and screens of the records at hand, which are the chosen row,
 * the screen's own record, and what these refer to.
 */
export function likelyFirst(all: Target[], { entities, screen, row, now }: At): Target[] {
  const near = [row, recordTable(screenOf(entities, screen))].filter((t) => t !== undefined);
  const further = near.flatMap((t) =>
    fieldsOf(entityOf(entities, t, 'table')).flatMap((f) => (f.references ? [f.references] : [])),
  );
  const tables = [...new Set([...near, ...further])];
  const rank = (t: Target) => {
    if (t.move?.kind !== 'screen' || t.move.mode) return Number.POSITIVE_INFINITY;
    if (t.move.target === now) return -1;
    const at = tables.indexOf(recordTable(screenOf(entities, t.move.target)) ?? '');
    return at < 0 || t.move.target === screen ? Number.POSITIVE_INFINITY : at;
  };
  const likely = all
    .filter((t) => rank(t) < Number.POSITIVE_INFINITY)
    .toSorted((a, b) => rank(a) - rank(b))
    .slice(0, most);
  const told = likely.map((t) => ({
    ...t,
    group: 'Likely',
    note: rank(t) < 0 ? `${t.note ?? ''}, as it is now` : t.note,
  }));
  return [...told, ...all.filter((t) => !likely.includes(t))];
}
