import { Select } from '../../ui/controls';

interface NarrowProps {
  label: string;
  all: string; // the words for no choice
  options: [string, string][]; // ids and words
  value?: string;
  maxW?: string;
  onChange: (id: string) => void;
}

/** Narrows what is shown to one of several, or to all. */
export function Narrow({ label, all, options, value, maxW, onChange }: NarrowProps) {
  return (
    <Select
      aria-label={label}
      fontSize="note"
      minH="32px"
      maxW={maxW}
      value={value}
      onChange={(e) => onChange(e.target.value)}
    >
      <option value="">{all}</option>
      {options.map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </Select>
  );
}
