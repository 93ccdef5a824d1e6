import type { ReachLine } from '../../../api/client';
import type { columnsShown } from './cells';

export type Row = { area: string } | { line: ReachLine };

/** What keys do in the grid: arrows go from cell to cell and pass areas over, Home and End along a line. */
export function useCellKeys(
  rows: Row[],
  columns: ReturnType<typeof columnsShown>,
  at: { row: number; column: number },
  onChoose: (screen: string, who: string) => void,
) {
  const go = (row: number, col: number) => {
    const to = rows[row];
    const who = columns[Math.max(0, Math.min(columns.length - 1, col))];
    if (!to || !('line' in to) || !who) return;
    onChoose(to.line.screen, who.who.key);
  };
  return (e: React.KeyboardEvent) => {
    const from = at.row >= 0 ? at.row : rows.findIndex((r) => 'line' in r);
    const here = at.column >= 0 ? at.column : 0;
    const next = (by: number) => {
      let to = from + by;
      while (rows[to] && 'area' in (rows[to] ?? {})) to += by;
      return rows[to] ? to : from;
    };
    const to: Record<string, [number, number]> = {
      ArrowUp: [next(-1), here],
      ArrowDown: [next(1), here],
      ArrowLeft: [from, here - 1],
      ArrowRight: [from, here + 1],
      Home: [from, 0],
      End: [from, columns.length - 1],
    };
    const step = to[e.key];
    if (!step) return;
    e.preventDefault();
    go(...step);
  };
}
