import type { ListView } from '../../api/client';
import type { Widths } from './useWidths';

const leadWidth = 74; // px
const leadNumber = 44; // px, of a number
const dayWidth = 98; // px, of a date on one line
const momentWidth = 148; // px, of a date with its time

/** The least width of a table in px: no column is cramped, and what stands on one line has room for it. */
export function narrowest(list: ListView, widths: Widths) {
  const needs = list.columns.map(
    (c, i) => (needOf(c.type, i === 0, list.main ?? false) * widths.total) / widths.share(c.path),
  );
  return Math.max(list.columns.length * 92, ...needs);
}

/** What a column that does not break its lines needs in px; 0 for one that does. */
function needOf(type: string, lead: boolean, main: boolean) {
  if (lead || main) {
    if (type === 'moment') return momentWidth;
    if (type === 'date') return dayWidth;
  }
  if (!lead) return 0;
  return type === 'whole' || type === 'decimal' || type === 'number' ? leadNumber : leadWidth;
}

/** The largest number of each column that is drawn as bars, among rows; undefined where there is no such column. */
export function mostOf(list: ListView, rows: ListView['rows']): Record<string, number> | undefined {
  const bars = list.columns.flatMap((c, i) => (c.look === 'bar' ? [[c.path, i] as const] : []));
  if (bars.length === 0) return undefined;
  const most = (i: number) => rows.reduce((m, r) => Math.max(m, Number(r.cells[i]?.value) || 0), 0);
  return Object.fromEntries(bars.map(([path, i]) => [path, most(i)]));
}
