import type { FieldDoc } from '../../../document/tables';
import { Select } from '../../../ui/controls';

/** Adds a field that a list is ordered by. */
export function AddOrder({ fields, onAdd }: { fields: FieldDoc[]; onAdd: (path: string) => void }) {
  return (
    <Select aria-label="Add an order" value="" onChange={(e) => e.target.value && onAdd(e.target.value)}>
      <option value="">+ order by</option>
      {fields
        .filter((f) => f.type !== 'json' && f.type !== 'picture' && !f.long)
        .map((f) => (
          <option key={f.id} value={f.id}>
            {f.label.toLowerCase()}
          </option>
        ))}
    </Select>
  );
}
