import { Flex, Portal } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import type { ColumnView, Filter } from '../../api/client';
import { Action, Select } from '../../ui/controls';
import { Panel } from '../../ui/Panel';
import { FilterInputs } from './FilterInputs';
import { filterOf, type Narrowed, readFilter, waysToNarrow } from './filters';

interface FilterBoxProps {
  column: ColumnView;
  below: HTMLElement | null;
  now: Filter[];
  onSet: (filters: Filter[]) => void;
  onClose: () => void;
}

const width = 260;

/** Says how a column narrows the list. It lies above everything, so that no short list cuts it off. */
export function FilterBox({ column, below, now, onSet, onClose }: FilterBoxProps) {
  const ways = waysToNarrow(column);
  const [way, setWay] = useState<Narrowed>(() => readFilter(column, now[0]));
  const box = useRef<HTMLDivElement>(null);
  const anchor = below?.getBoundingClientRect();
  // Inside a dialog it belongs to it: a dialog keeps the focus inside.
  const around = below?.closest<HTMLElement>('[role="dialog"]') ?? document.body;
  useEffect(() => {
    const outside = (e: PointerEvent) => {
      if (e.target instanceof Node && !box.current?.contains(e.target) && !below?.contains(e.target)) onClose();
    };
    document.addEventListener('pointerdown', outside);
    box.current?.querySelector<HTMLElement>('input, select')?.focus();
    return () => document.removeEventListener('pointerdown', outside);
  }, [below, onClose]);
  return (
    <Portal container={{ current: around }}>
      <Panel
        ref={box}
        as="form"
        role="dialog"
        aria-label={`Filter ${column.label}`}
        position="fixed"
        top={`${(anchor?.bottom ?? 0) + 4}px`}
        left={`${Math.max(8, Math.min((anchor?.right ?? 220) - 120, window.innerWidth - width - 16))}px`}
        w={`${width}px`}
        p="12px"
        onKeyDown={(e: React.KeyboardEvent) => {
          if (e.key !== 'Escape') return;
          e.stopPropagation();
          onClose();
        }}
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          e.stopPropagation();
          onSet(filterOf(column, way));
        }}
      >
        <Flex direction="column" gap="10px">
          {ways.length > 1 && (
            <Select
              aria-label="Comparison"
              value={way.compare}
              onChange={(e) => setWay({ ...way, compare: e.target.value })}
            >
              {ways.map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </Select>
          )}
          <FilterInputs column={column} way={way} onChange={setWay} />
          <Flex gap="8px">
            <Action type="submit" tone="main">
              Show these
            </Action>
            {now.length > 0 && <Action onClick={() => onSet([])}>Clear</Action>}
          </Flex>
        </Flex>
      </Panel>
    </Portal>
  );
}
