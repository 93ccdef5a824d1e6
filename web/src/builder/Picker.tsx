import { Box, Flex } from '@chakra-ui/react';
import { type ReactNode, useEffect, useId, useRef, useState } from 'react';
import { Line } from '../ui/controls';
import { Glyph } from '../ui/Glyph';

export interface Choice {
  id: string;
  words: string;
  note?: string;
  group?: string;
  glyph?: string;
}

interface PickerProps {
  label: string;
  choices: Choice[];
  onChoose: (c: Choice) => void;
  onClose: () => void;
  onType?: (text: string) => void;
  filtered?: boolean; // the choices come filtered already
  make?: (text: string) => Choice | undefined; // what typing something new offers
  empty?: string;
  align?: 'left' | 'right';
  up?: boolean; // opens upwards
  foot?: ReactNode;
}

/** A list with a search field: type any word, arrows, Enter; Escape closes. */
export function Picker({
  label,
  choices,
  onChoose,
  onClose,
  onType,
  filtered,
  make,
  empty,
  align = 'left',
  up,
  foot,
}: PickerProps) {
  const [find, setFind] = useState('');
  const [at, setAt] = useState(0);
  const box = useRef<HTMLDivElement>(null);
  const id = useId();
  useOutside(box, onClose);
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (c: Choice) =>
    words.every((w) => `${c.words} ${c.note ?? ''} ${c.group ?? ''}`.toLowerCase().includes(w));
  const made = find.trim() ? make?.(find.trim()) : undefined;
  const found = filtered ? choices : choices.filter(fits);
  const shown = [...(words.length > 0 && !filtered ? byFit(found, words) : found), ...(made ? [made] : [])];
  const onKey = (e: React.KeyboardEvent) => {
    const chosen = shown[at];
    if (e.key === 'ArrowDown') setAt(Math.min(at + 1, shown.length - 1));
    else if (e.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
    else if (e.key === 'Escape') onClose();
    else if (e.key === 'Enter' && chosen) onChoose(chosen);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <Box
      ref={box}
      role="dialog"
      aria-label={label}
      position="absolute"
      zIndex="popover"
      w="310px"
      bg="plate"
      color="ink"
      borderWidth="1px"
      borderColor="ink"
      borderRadius="4px"
      boxShadow="lg"
      fontSize="text"
      fontWeight="400"
      textAlign="left"
      {...{ [align]: 0 }}
      {...(up ? { bottom: 'calc(100% + 6px)' } : { top: 'calc(100% + 6px)' })}
      onKeyDown={onKey}
    >
      <Box p="8px">
        <Line
          autoFocus
          role="combobox"
          aria-expanded
          aria-controls={id}
          aria-label={label}
          placeholder={make ? 'type a name, or to search' : 'type to search'}
          value={find}
          onChange={(e) => {
            setFind(e.target.value);
            setAt(0);
            onType?.(e.target.value);
          }}
        />
      </Box>
      <Box id={id} role="listbox" aria-label={label} maxH="260px" overflowY="auto" pb="6px">
        {shown.map((c, i) => (
          <Box key={c.id}>
            {c.group && c.group !== shown[i - 1]?.group && (
              <Box
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
          <Box px="12px" py="6px" color="muted">
            {empty ?? 'Nothing fits.'}
          </Box>
        )}
      </Box>
      {foot}
    </Box>
  );
}

/** What is called so comes before what only has it in its note. */
function byFit(choices: Choice[], words: string[]): Choice[] {
  const rank = (c: Choice) => {
    const name = c.words.toLowerCase();
    if (name === words.join(' ')) return -1;
    if (words.every((w) => name.startsWith(w))) return 0;
    return words.every((w) => name.includes(w)) ? 1 : 2;
  };
  return choices.toSorted((a, b) => rank(a) - rank(b));
}

function PickerLine({
  choice,
  lit,
  onLight,
  onChoose,
}: {
  choice: Choice;
  lit: boolean;
  onLight: () => void;
  onChoose: () => void;
}) {
  const line = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (lit) line.current?.scrollIntoView({ block: 'nearest' });
  }, [lit]);
  return (
    <Flex
      ref={line}
      role="option"
      aria-selected={lit}
      align="center"
      gap="9px"
      px="12px"
      py="5px"
      cursor="pointer"
      bg={lit ? 'amberSoft' : undefined}
      onMouseMove={onLight}
      onClick={onChoose}
    >
      {choice.glyph && <Glyph name={choice.glyph} size={16} />}
      <Box minW={0}>
        <Box fontWeight="600">{choice.words}</Box>
        {choice.note && (
          <Box fontSize="note" color="muted">
            {choice.note}
          </Box>
        )}
      </Box>
    </Flex>
  );
}

/** Calls back on a press outside of a box. */
export function useOutside(box: React.RefObject<HTMLElement | null>, onOutside: () => void) {
  const call = useRef(onOutside);
  call.current = onOutside;
  useEffect(() => {
    const press = (e: PointerEvent) => {
      if (e.target instanceof Node && !box.current?.contains(e.target)) call.current();
    };
    document.addEventListener('pointerdown', press);
    return () => document.removeEventListener('pointerdown', press);
  }, [box]);
}
