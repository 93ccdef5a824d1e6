import type { ElementView } from '../api/client';
import { useScreen } from './context';
import { Element } from './Element';
import { AddInFrame } from './EmptyCells';
import type { Placed } from './layout';

interface CellProps extends Placed {
  rows: number[]; // of the grid, by line
  from: { row: number; col: number }; // line and column that the grid around it begins with
  folded?: 'narrow' | 'middle'; // below which width it is not there
}

/** An element in its cell; a frame with what stands in it, on the same lines as all others. */
export function SheetCell({ element: e, inside, rows, from, folded }: CellProps) {
  const { builder } = useScreen();
  const cell = (
    <div
      data-is={e.id}
      data-row={e.cell.row}
      data-folded={folded}
      className={e.kind === 'group' ? 'sheet-cell sheet-head' : 'sheet-cell'}
      style={e.kind === 'group' ? undefined : placeOf(e, rows, from)}
    >
      <Element element={e} />
    </div>
  );
  if (e.kind !== 'group') return cell;
  const own = { row: rows.indexOf(e.cell.row) + 1, col: e.cell.col };
  return (
    // A fieldset would lay its legend out by itself.
    // biome-ignore lint/a11y/useSemanticElements: see above
    <section
      role="group"
      className="sheet-cell sheet-frame"
      data-frame={e.id}
      data-hidden={e.state === 'hidden' || undefined}
      aria-label={e.group.words}
      style={placeOf(e, rows, from)}
    >
      {cell}
      {inside.map((p) => (
        <SheetCell key={p.element.id} {...p} rows={rows} from={own} />
      ))}
      {builder && <AddInFrame frame={e} />}
    </section>
  );
}

/** The place on the grid around it, for where there is room for one. */
export function placeOf(e: ElementView, rows: number[], from: { row: number; col: number }): React.CSSProperties {
  const end = e.cell.row + (e.kind === 'group' ? Math.max(1, e.cell.h ?? 1) : 1);
  const vars: Record<string, number> = {
    '--col': e.cell.col - from.col + 1,
    '--w': e.cell.w,
    '--row': rows.indexOf(e.cell.row) + 2 - from.row,
    '--rows': rows.filter((r) => r >= e.cell.row && r < end).length,
  };
  return vars;
}
