import type { ProposedApplication } from '../../api/client';

interface Spot {
  id: string;
  title: string;
  note: string;
  made: boolean;
  column: number; // start, lists, forms
  row: number;
}

interface Line {
  id: string;
  from: Spot;
  to: Spot;
  made: boolean;
}

/** Where each screen of a proposal stands on the small map: start, lists, forms, a form beside its list. */
export function drawn(p: ProposedApplication): { spots: Spot[]; lines: Line[]; rows: number } {
  const columns: Record<string, number> = { menu: 0, list: 1, form: 2 };
  const tables = p.tables.map((t) => t.id).filter((id) => p.screens.some((s) => s.table === id));
  const rows = Math.max(tables.length, 1);
  const spots = p.screens.map((s) => ({
    id: s.id,
    title: s.title,
    note: s.note,
    made: s.made,
    column: columns[s.type] ?? 2,
    row: s.table ? tables.indexOf(s.table) : (rows - 1) / 2,
  }));
  const lines = p.ways.flatMap((w) => {
    const from = spots.find((s) => s.id === w.from);
    const to = spots.find((s) => s.id === w.to);
    // Ways among forms are told beside the map: drawn, they would hide it.
    return from && to && from.column < to.column ? [{ id: w.id, from, to, made: w.made }] : [];
  });
  return { spots, lines, rows };
}
