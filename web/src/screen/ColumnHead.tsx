import { Box, Flex, Portal } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import type { Filter, ListView } from '../api/client';
import { Action, Line, Select } from '../ui/controls';
import { useScreen } from './context';

type Column = ListView['columns'][number];

/** A column's heading: its words sort, the mark beside them narrows. */
export function ColumnHead({ column, list }: { column: Column; list: ListView }) {
  const { view, onArrange } = useScreen();
  const [open, setOpen] = useState(false);
  const mark = useRef<HTMLButtonElement>(null);
  const filters = view.place.filters ?? [];
  const sorted = list.sort.findIndex((s) => s.path === column.path);
  const order = list.sort[sorted];
  const filtered = filters.some((f) => f.path === column.path);
  const number = column.type === 'whole' || column.type === 'decimal' || column.type === 'number';
  const words = column.unit ? `${column.label}, ${column.unit}` : column.label;
  const aria = sorted === 0 ? (order?.desc ? 'descending' : 'ascending') : undefined;
  const sort = () => onArrange({ filters, sort: [{ path: column.path, desc: sorted === 0 && !order?.desc }] });
  return (
    <Box
      as="th"
      aria-sort={aria}
      w={`${(column.width / list.columns.reduce((n, c) => n + c.width, 0)) * 100}%`}
      position="sticky"
      top="0"
      bg="paper"
      zIndex="1"
      textAlign={number ? 'right' : 'left'}
      fontSize="note"
      fontWeight="600"
      color="muted"
      px="8px"
      py="4px"
      boxShadow="inset 0 -1px 0 var(--chakra-colors-rule)"
    >
      {list.main ? (
        <Flex align="center" gap="2px" justify={number ? 'flex-end' : undefined}>
          <Box
            as="button"
            onClick={sort}
            cursor="pointer"
            minH="28px"
            textAlign="left"
            _hover={{ color: 'ink' }}
            color={sorted === 0 ? 'ink' : undefined}
          >
            {words} {sorted === 0 && (order?.desc ? '↓' : '↑')}
          </Box>
          <Box
            ref={mark}
            as="button"
            aria-label={`Filter ${column.label}`}
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            cursor="pointer"
            minW="26px"
            minH="28px"
            color={filtered ? 'plum' : 'muted'}
            fontWeight="800"
          >
            {filtered ? '▾•' : '▾'}
          </Box>
        </Flex>
      ) : (
        words
      )}
      {open && (
        <FilterBox
          column={column}
          below={mark.current}
          now={filters.find((f) => f.path === column.path)}
          onClose={() => setOpen(false)}
          onSet={(f) => {
            setOpen(false);
            onArrange({
              filters: [...filters.filter((x) => x.path !== column.path), ...(f ? [f] : [])],
              sort: view.place.sort ?? [],
            });
          }}
        />
      )}
    </Box>
  );
}

/** The comparisons that fit a column's type. */
function comparesOf(column: Column): [string, string][] {
  if (column.choices)
    return [
      ['is', 'is'],
      ['isNot', 'is not'],
      ['atLeast', 'is at least'],
      ['atMost', 'is at most'],
    ];
  if (column.type === 'record')
    return [
      ['notEmpty', 'is there'],
      ['empty', 'is empty'],
    ];
  if (column.type === 'text')
    return [
      ['contains', 'contains'],
      ['is', 'is'],
      ['empty', 'is empty'],
      ['notEmpty', 'is not empty'],
    ];
  return [
    ['atLeast', 'from'],
    ['atMost', 'up to'],
    ['is', 'is'],
    ['empty', 'is empty'],
  ];
}

interface FilterBoxProps {
  column: Column;
  below: HTMLElement | null;
  now?: Filter;
  onSet: (f: Filter | undefined) => void;
  onClose: () => void;
}

/** Says how a column narrows the list. It lies above everything, so that no short list cuts it off. */
function FilterBox({ column, below, now, onSet, onClose }: FilterBoxProps) {
  const compares = comparesOf(column);
  const [compare, setCompare] = useState(now?.compare ?? compares[0]?.[0] ?? 'is');
  const [value, setValue] = useState(now?.value ?? column.choices?.[0] ?? '');
  const needsValue = compare !== 'empty' && compare !== 'notEmpty';
  const box = useRef<HTMLDivElement>(null);
  const anchor = below?.getBoundingClientRect();
  // Inside a dialog it belongs to it: a dialog keeps the focus inside.
  const around = below?.closest<HTMLElement>('[role="dialog"]') ?? document.body;
  useEffect(() => {
    const outside = (e: PointerEvent) => {
      if (e.target instanceof Node && !box.current?.contains(e.target) && !below?.contains(e.target)) onClose();
    };
    document.addEventListener('pointerdown', outside);
    return () => document.removeEventListener('pointerdown', outside);
  }, [below, onClose]);
  return (
    <Portal container={{ current: around }}>
      <Box
        ref={box}
        as="form"
        role="dialog"
        aria-label={`Filter ${column.label}`}
        position="fixed"
        top={`${(anchor?.bottom ?? 0) + 4}px`}
        left={`${Math.min((anchor?.right ?? 220) - 120, window.innerWidth - 236)}px`}
        zIndex="dropdown"
        w="220px"
        p="10px"
        bg="plate"
        color="ink"
        borderWidth="1px"
        borderColor="ink"
        borderRadius="4px"
        boxShadow="md"
        onKeyDown={(e: React.KeyboardEvent) => e.key === 'Escape' && onClose()}
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          onSet({ path: column.path, compare, value: needsValue ? value : '' });
        }}
      >
        <Flex direction="column" gap="8px">
          <Select aria-label="Comparison" value={compare} onChange={(e) => setCompare(e.target.value)}>
            {compares.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </Select>
          {needsValue &&
            (column.choices ? (
              <Select aria-label="Value" value={value} onChange={(e) => setValue(e.target.value)}>
                {column.choices.map((c) => (
                  <option key={c}>{c}</option>
                ))}
              </Select>
            ) : (
              <Line
                aria-label="Value"
                autoFocus
                type={column.type === 'date' ? 'date' : 'text'}
                value={value}
                onChange={(e) => setValue(e.target.value)}
              />
            ))}
          <Flex gap="8px">
            <Action type="submit" tone="main">
              Show these
            </Action>
            {now && <Action onClick={() => onSet(undefined)}>Clear</Action>}
          </Flex>
        </Flex>
      </Box>
    </Portal>
  );
}
