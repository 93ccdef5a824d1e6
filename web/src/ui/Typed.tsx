import { useEffect, useRef, useState } from 'react';
import { Line } from './controls';

/** A short text that is kept when one leaves it, or with Enter; in the form that onSave gives, where it gives one. */
export function Typed({
  label,
  value,
  hint,
  width = '110px',
  onSave,
}: {
  label: string;
  value: string;
  hint?: string;
  width?: string;
  onSave: (v: string) => unknown;
}) {
  const [typed, setTyped] = useState(value);
  const sent = useRef<string>(undefined); // and not answered yet: leaving the line after Enter sends nothing twice
  useEffect(() => {
    sent.current = undefined;
    setTyped(value);
  }, [value]);
  const save = () => {
    if (typed.trim() === value || typed.trim() === sent.current) return;
    sent.current = typed.trim();
    const kept = onSave(typed.trim());
    if (typeof kept === 'string') setTyped(kept);
  };
  return (
    <Line
      aria-label={label}
      w={width}
      value={typed}
      placeholder={hint}
      onChange={(e) => {
        sent.current = undefined;
        setTyped(e.target.value);
      }}
      onBlur={save}
      onKeyDown={(e) => e.key === 'Enter' && save()}
    />
  );
}
