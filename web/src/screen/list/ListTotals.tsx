import type { ColumnView, ListView } from '../../api/client';
import { useLanguage } from '../context';

const told: Record<string, string> = { count: 'how many', sum: 'sum', mean: 'average', most: 'most', least: 'least' };

interface TotalsProps {
  list: ListView;
  before: number; // columns that stand before those of the fields
  behind: number;
}

/** The foot of a list: what its columns come to, over all rows and not only those that are shown. */
export function ListTotals({ list, before, behind }: TotalsProps) {
  if (!list.columns.some((c) => c.total !== undefined)) return null;
  return (
    <tfoot>
      <tr className="row-totals">
        {before > 0 && <td colSpan={before} />}
        {list.columns.map((c) => (
          <Total key={c.path} column={c} />
        ))}
        {behind > 0 && <td colSpan={behind} />}
      </tr>
    </tfoot>
  );
}

function Total({ column: c }: { column: ColumnView }) {
  const { amount } = useLanguage();
  const number = c.type === 'whole' || c.type === 'decimal' || c.type === 'number';
  return (
    <td className="cell" data-number={number || undefined} data-align={c.align} data-label={c.label}>
      {c.total !== undefined && (
        <>
          <span className="row-total-of">{told[c.totalOf ?? ''] ?? ''}</span> {amount(c.total)}
        </>
      )}
    </td>
  );
}
