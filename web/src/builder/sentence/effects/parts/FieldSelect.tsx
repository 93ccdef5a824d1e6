import type { FieldDoc } from '../../../../document/tables';
import { Select } from '../../../../ui/controls';

interface FieldProps {
  fields: FieldDoc[];
  path: string;
  onPath: (path: string) => void;
}

/** One of the fields of a list; one that was named otherwise is told as it is. */
export function FieldSelect({ fields, path, onPath }: FieldProps) {
  const known = fields.some((f) => f.id === path);
  return (
    <Select aria-label="Field" autoFocus value={path} onChange={(e) => onPath(e.target.value)}>
      {!known && <option value={path}>{path.includes('.') ? 'a field further away' : 'a field that is gone'}</option>}
      {fields.map((f) => (
        <option key={f.id} value={f.id}>
          {f.label.toLowerCase()}
        </option>
      ))}
    </Select>
  );
}
