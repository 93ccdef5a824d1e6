import { useQuery } from '@tanstack/react-query';
import { useId, useRef, useState } from 'react';
import type { FieldView, Title } from '../../api/client';
import { Action } from '../../ui/controls';
import { useScreen } from '../context';
import { ParentOptions } from './ParentOptions';

interface PickerProps {
  id?: string;
  field: FieldView;
  value: string;
  given?: Title; // a record that was added meanwhile, with its title
  autoFocus?: boolean;
  onChoose: (key: string) => void;
  onAdd?: () => void;
}

/** Chooses a record of another table by typing a part of its title. Arrows, Enter and Escape work. */
export function ParentPicker({ id, field, value, given, onChoose, onAdd, ...aria }: PickerProps) {
  const ownId = useId();
  const listId = `${id ?? ownId}-list`;
  const [typed, setTyped] = useState<string>();
  const [picked, setPicked] = useState({ key: field.value, title: field.words });
  const [at, setAt] = useState(0);
  const options = useRef<Title[]>([]); // those that are offered now
  const seen = [given, picked, { key: field.value, title: field.words }];
  const said = seen.find((t) => t?.key === value)?.title;
  const { titles } = useScreen();
  const table = field.table ?? '';
  const found = useQuery({
    queryKey: ['title', table, value],
    queryFn: () => titles(table, '', value),
    enabled: said === undefined && value !== '', // typed in another step, or before the page was loaded again
  });
  const known = said ?? found.data?.find((t) => t.key === value)?.title ?? (found.isPending ? '…' : value);
  const choose = (o: { key: string; title: string }) => {
    setPicked(o.key === '' ? { key: '', title: '' } : o);
    setTyped(undefined);
    onChoose(o.key);
  };
  const onKey = (e: React.KeyboardEvent) => {
    if (typed === undefined) {
      if (e.key !== 'ArrowDown') return;
      setTyped('');
      e.preventDefault();
      return;
    }
    if (e.key === 'ArrowDown') setAt(Math.min(at + 1, options.current.length - 1));
    else if (e.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
    else if (e.key === 'Escape') setTyped(undefined);
    else if (e.key === 'Enter') {
      const o = options.current[at];
      if (o) choose(o); // nothing found yet: the form is not saved by it
    } else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <div className="picker">
      <input
        className="entry"
        id={id}
        {...aria}
        role="combobox"
        aria-expanded={typed !== undefined}
        aria-controls={listId}
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
        <ParentOptions
          id={listId}
          field={field}
          typed={typed}
          at={at}
          offered={options}
          onPoint={setAt}
          onChoose={choose}
          onAdd={
            onAdd &&
            (() => {
              setTyped(undefined);
              onAdd();
            })
          }
        />
      )}
      {onAdd && (
        <Action
          aria-label={`Add a missing ${field.label.toLowerCase()}`}
          title="Add one that is missing"
          onClick={onAdd}
          px="9px"
        >
          +
        </Action>
      )}
    </div>
  );
}
