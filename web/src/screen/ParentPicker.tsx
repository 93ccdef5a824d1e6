import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { FieldView } from '../api/client';
import { Line } from '../ui/controls';
import { useScreen } from './context';

interface PickerProps {
  id: string;
  field: FieldView;
  value: string;
  onChoose: (key: string) => void;
}

/** Chooses a record of another table by typing a part of its title. Arrows, Enter and Escape work. */
export function ParentPicker({ id, field, value, onChoose, ...aria }: PickerProps) {
  const { titles } = useScreen();
  const [typed, setTyped] = useState<string>();
  const [picked, setPicked] = useState({ key: field.value, title: field.words });
  const [at, setAt] = useState(0);
  const table = field.table ?? '';
  const found = useQuery({
    queryKey: ['titles', table, typed ?? ''],
    queryFn: () => titles(table, typed ?? ''),
    enabled: typed !== undefined,
  });
  const options = [...(field.required ? [] : [{ key: '', title: '– none –' }]), ...(found.data ?? [])];
  const known = value === picked.key ? picked.title : value === field.value ? field.words : value;
  const choose = (o: { key: string; title: string }) => {
    setPicked(o.key === '' ? { key: '', title: '' } : o);
    setTyped(undefined);
    onChoose(o.key);
  };
  const onKey = (e: React.KeyboardEvent) => {
    if (typed === undefined) return;
    if (e.key === 'ArrowDown') setAt(Math.min(at + 1, options.length - 1));
    else if (e.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
    else if (e.key === 'Escape') setTyped(undefined);
    else if (e.key === 'Enter' && options[at]) choose(options[at]);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <Box position="relative">
      <Line
        id={id}
        {...aria}
        role="combobox"
        aria-expanded={typed !== undefined}
        aria-controls={`${id}-list`}
        autoComplete="off"
        value={typed ?? (value === '' ? '' : known)}
        placeholder="type to search"
        onFocus={(e) => e.target.select()}
        onClick={() => setTyped(typed ?? '')}
        onChange={(e) => {
          setTyped(e.target.value);
          setAt(0);
        }}
        onKeyDown={onKey}
        onBlur={() => setTyped(undefined)}
      />
      {typed !== undefined && (
        <Box
          id={`${id}-list`}
          role="listbox"
          position="absolute"
          zIndex="dropdown"
          top="100%"
          left="0"
          right="0"
          maxH="260px"
          overflowY="auto"
          bg="plate"
          borderWidth="1px"
          borderColor="ink"
          borderRadius="0 0 4px 4px"
        >
          {options.map((o, i) => (
            <Box
              key={o.key}
              role="option"
              aria-selected={i === at}
              px="10px"
              py="6px"
              cursor="pointer"
              bg={i === at ? 'amberSoft' : undefined}
              onMouseEnter={() => setAt(i)}
              onMouseDown={(e) => {
                e.preventDefault();
                choose(o);
              }}
            >
              {o.title}
            </Box>
          ))}
          {found.data?.length === 0 && (
            <Box px="10px" py="6px" color="muted">
              Nothing is called that.
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}
