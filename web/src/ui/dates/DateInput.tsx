import { useRef, useState } from 'react';
import { Glyph } from '../Glyph';
import { later } from '../later';
import { useBeside } from '../useBeside';
import { useOutside } from '../useOutside';
import { dayIn, momentIn, saidIn } from './dates';

interface DateProps {
  value: string; // ISO 8601; what is none as it was typed
  language: string;
  moment?: boolean; // with a time of the clock
  onValue: (value: string) => void;
  /** What names it and tells of its errors. */
  input: React.InputHTMLAttributes<HTMLInputElement> & { label?: string };
}

const Calendar = later(async () => (await import('./Calendar')).Calendar);

/** A day, or a moment: typed as the language writes it or by a word such as “tomorrow”, or chosen in a calendar. */
export function DateInput({ value, language, moment, onValue, input }: DateProps) {
  const [typed, setTyped] = useState<string>();
  const [open, setOpen] = useState(false);
  const box = useRef<HTMLDivElement>(null);
  useOutside(box, () => setOpen(false));
  const today = new Date().toLocaleDateString('sv'); // as ISO 8601 has it, where the browser is
  const read = (text: string) => (moment ? momentIn : dayIn)(text, language, today) ?? text.trim();
  const { label, ...rest } = input;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: Escape closes what the button opened
    <div
      ref={box}
      className="date-entry"
      onKeyDown={(e) => {
        if (e.key !== 'Escape' || !open) return;
        e.stopPropagation();
        setOpen(false);
      }}
    >
      <input
        {...rest}
        className="entry"
        type="text"
        autoComplete="off"
        placeholder={saidIn(moment ? `${today}T14:30` : today, language)}
        value={typed ?? saidIn(value, language)}
        onChange={(e) => {
          setTyped(e.target.value);
          onValue(read(e.target.value));
        }}
        onBlur={() => setTyped(undefined)}
      />
      <button
        type="button"
        className="date-open"
        aria-label={`Calendar for ${label ?? 'this day'}`}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <Glyph name="calendar" size={16} />
      </button>
      {open && (
        <Beside>
          <Calendar
            value={/^\d{4}-\d{2}-\d{2}/.exec(value)?.[0]}
            language={language}
            onDay={(day) => {
              setTyped(undefined);
              onValue(moment ? `${day}T${value.slice(11) || '00:00'}` : day);
              setOpen(false);
            }}
          />
        </Beside>
      )}
    </div>
  );
}

const width = 262; // px

/** Below the day, or above it: nothing that scrolls around it cuts it off. */
function Beside({ children }: { children: React.ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const place = useBeside(box, { width });
  return (
    <div ref={box} className="date-calendar" style={{ left: place?.left, top: place?.top, bottom: place?.bottom }}>
      {children}
    </div>
  );
}
