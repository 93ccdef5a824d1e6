import { Box } from '@chakra-ui/react';
import { type ReactNode, useEffect, useId, useRef, useState } from 'react';
import { Line } from '../ui/controls';
import { Panel } from '../ui/Panel';
import { useBeside } from '../ui/useBeside';
import { useOutside } from '../ui/useOutside';
import { useSteady } from '../ui/useSteady';
import { type Choice, found } from './choices';
import { PickerLine } from './PickerLine';

export type { Choice } from './choices';

interface PickerProps<C extends Choice> {
  label: string;
  hint?: string; // stands in the empty field
  choices: C[];
  onChoose: (c: C) => void;
  onClose: () => void;
  onType?: (text: string) => void;
  filtered?: boolean; // the choices come filtered already
  coming?: boolean; // some are still looked for: Enter waits for them, so that nobody has to
  make?: (text: string) => C | undefined; // what typing something new offers
  empty?: string;
  align?: 'left' | 'right';
  up?: boolean; // opens upwards
  foot?: ReactNode;
}

const width = 310; // px
const besideList = 70; // px: the search field and what stands at the foot

/** A list with a search field: type any word, arrows, Enter; Escape closes. */
export function Picker<C extends Choice>(p: PickerProps<C>) {
  const {
    label,
    hint,
    choices,
    onChoose,
    onClose,
    onType,
    filtered,
    coming,
    make,
    empty,
    align = 'left',
    up,
    foot,
  } = p;
  const [find, setFind] = useState('');
  const [at, setAt] = useState(0);
  const [due, setDue] = useState(false); // Enter was pressed
  const box = useRef<HTMLDivElement>(null);
  const id = useId();
  const place = useBeside(box, { width, up, align });
  useOutside(box, onClose);
  const made = find.trim() ? make?.(find.trim()) : undefined;
  const shown = [...(filtered ? choices : found(choices, find)), ...(made ? [made] : [])];
  const chosen = shown[at];
  const take = useSteady(() => chosen && onChoose(chosen));
  useEffect(() => {
    if (!due || coming) return;
    setDue(false);
    take();
  }, [due, coming, take]);
  const onKey = (e: React.KeyboardEvent) => {
    if (e.key === 'ArrowDown') setAt(Math.min(at + 1, shown.length - 1));
    else if (e.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
    else if (e.key === 'Escape') onClose();
    else if (e.key === 'Enter' && coming) setDue(true);
    else if (e.key === 'Enter' && chosen) onChoose(chosen);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <Panel
      ref={box}
      role="dialog"
      aria-label={label}
      position="fixed"
      w={`${width}px`}
      style={{ left: place?.left, top: place?.top, bottom: place?.bottom }}
      onKeyDown={onKey}
    >
      <Box p="8px">
        <Line
          autoFocus
          role="combobox"
          aria-expanded={shown.length > 0}
          aria-controls={id}
          aria-label={label}
          placeholder={hint ?? (make ? 'search, or type a new name' : 'type to search')}
          value={find}
          onChange={(e) => {
            setFind(e.target.value);
            setAt(0);
            setDue(false);
            onType?.(e.target.value);
          }}
        />
      </Box>
      <Box
        id={id}
        role={shown.length > 0 ? 'listbox' : undefined}
        aria-label={shown.length > 0 ? label : undefined}
        style={{ maxHeight: Math.max(100, Math.min(260, (place?.room ?? 0) - besideList)) }}
        overflowY="auto"
        pb="6px"
      >
        {shown.map((c, i) => (
          <Box key={c.id} role="none">
            {c.group && c.group !== shown[i - 1]?.group && (
              <Box
                aria-hidden
                px="12px"
                pt="6px"
                fontSize="12px"
                fontWeight="700"
                color="muted"
                textTransform="uppercase"
                letterSpacing="0.04em"
              >
                {c.group}
              </Box>
            )}
            <PickerLine choice={c} lit={i === at} onLight={() => setAt(i)} onChoose={() => onChoose(c)} />
          </Box>
        ))}
        {shown.length === 0 && (
          <Box px="12px" py="6px" color="muted" role="status">
            {empty ?? 'No match.'}
          </Box>
        )}
      </Box>
      {foot}
    </Panel>
  );
}
