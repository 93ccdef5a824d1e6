import type { FieldView, Title } from '../../api/client';
import { DateInput } from '../../ui/dates/DateInput';
import { useLanguage, useScreen } from '../context';
import { ParentPicker } from './ParentPicker';
import { PictureInput } from './PictureInput';

interface InputProps {
  id?: string;
  label?: string; // where no visible label names it
  field: FieldView;
  value: string;
  invalid: boolean;
  autoFocus?: boolean;
  given?: Title; // of a relation: a record that was added meanwhile
  onType: (value: string) => void;
  onAdd?: () => void; // of a relation: add a record that is missing
}

/** The editor that fits a field's type. */
export function ValueInput({ id, label, field, value, invalid, autoFocus, given, onType, onAdd }: InputProps) {
  const { point } = useLanguage();
  const language = useScreen().view.language ?? 'en';
  const common = {
    id,
    'aria-label': label,
    'aria-invalid': invalid || undefined,
    'aria-required': field.required || undefined,
    'aria-describedby': (id && (invalid ? `${id}-error` : field.hint && `${id}-hint`)) || undefined,
    autoFocus,
  };
  if (field.table) {
    return <ParentPicker {...common} field={field} value={value} given={given} onChoose={onType} onAdd={onAdd} />;
  }
  if (field.type === 'picture') {
    return <PictureInput id={id} field={field} value={value} invalid={invalid} onType={onType} />;
  }
  if (field.choices) {
    return (
      <select {...common} className="entry" value={value} onChange={(e) => onType(e.target.value)}>
        {(!field.required || value === '') && <option value="">–</option>}
        {field.choices.map((c) => (
          <option key={c} value={c}>
            {c}
          </option>
        ))}
      </select>
    );
  }
  if (field.type === 'yesno') {
    return (
      <select {...common} className="entry" value={value} onChange={(e) => onType(e.target.value)}>
        {(!field.required || value === '') && <option value="">–</option>}
        <option value="true">yes</option>
        <option value="false">no</option>
      </select>
    );
  }
  if (field.long) {
    return (
      <textarea
        {...common}
        className="entry"
        value={value}
        rows={3}
        maxLength={field.longest}
        onChange={(e) => onType(e.target.value)}
      />
    );
  }
  if (field.type === 'date' || field.type === 'moment') {
    const input = { ...common, label: label ?? field.label };
    return (
      <DateInput input={input} language={language} value={value} moment={field.type === 'moment'} onValue={onType} />
    );
  }
  const numeric = field.type === 'whole' || field.type === 'decimal' || field.type === 'number';
  const comma = numeric && field.type !== 'whole' && point() === ',';
  return (
    <div style={{ position: 'relative', display: 'flex', alignItems: 'center' }}>
      <input
        {...common}
        className="entry"
        type={field.secret ? 'password' : 'text'}
        inputMode={numeric ? 'decimal' : undefined}
        placeholder={field.example}
        style={field.unit ? { paddingRight: 18 + field.unit.length * 9 } : undefined}
        value={comma ? value.replace('.', ',') : value}
        onChange={(e) => onType(comma ? e.target.value.replace(',', '.') : e.target.value)}
      />
      {field.unit && (
        <span className="entry-unit" aria-hidden>
          {field.unit}
        </span>
      )}
    </div>
  );
}
