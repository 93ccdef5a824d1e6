import { Box } from '@chakra-ui/react';
import type { FieldView } from '../api/client';
import { Line, Select } from '../ui/controls';
import { useScreen } from './context';
import { ParentPicker } from './ParentPicker';

/** The editor that fits a field's type. */
export function FieldEditor({ id, field, invalid }: { id: string; field: FieldView; invalid: boolean }) {
  const { values, onType } = useScreen();
  const value = values[field.path] ?? field.value;
  const common = { id, 'aria-invalid': invalid || undefined, 'aria-describedby': invalid ? `${id}-error` : undefined };
  const type = (v: string) => onType(field.path, v);
  if (field.table) return <ParentPicker {...common} field={field} value={value} onChoose={type} />;
  if (field.choices) {
    return (
      <Select {...common} w="full" value={value} onChange={(e) => type(e.target.value)}>
        {(!field.required || value === '') && <option value="">–</option>}
        {field.choices.map((c) => (
          <option key={c} value={c}>
            {c}
          </option>
        ))}
      </Select>
    );
  }
  if (field.type === 'yesno') {
    return (
      <Select {...common} w="full" value={value} onChange={(e) => type(e.target.value)}>
        {!field.required && <option value="">–</option>}
        <option value="true">yes</option>
        <option value="false">no</option>
      </Select>
    );
  }
  if (field.long) {
    return (
      <Box asChild>
        <Line asChild {...common} minH="74px" py="6px">
          <textarea value={value} rows={3} onChange={(e) => type(e.target.value)} />
        </Line>
      </Box>
    );
  }
  const kind = { date: 'date', whole: 'text', decimal: 'text', number: 'text' }[field.type] ?? 'text';
  const numeric = field.type === 'whole' || field.type === 'decimal' || field.type === 'number';
  return (
    <Line
      {...common}
      type={kind}
      inputMode={numeric ? 'decimal' : undefined}
      value={value}
      onChange={(e) => type(e.target.value)}
    />
  );
}
