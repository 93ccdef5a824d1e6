import { Box, Flex } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import type { ColumnView, Filter, ListView, Sort } from '../../api/client';
import { useScreen } from '../context';
import { FilterBox } from './FilterBox';
import type { Widths } from './useWidths';

interface HeadProps {
  column: ColumnView;
  list: ListView;
  widths: Widths;
}

/** A column's heading: its words sort, the mark beside them narrows, its right edge can be moved. */
export function ColumnHead({ column, list, widths }: HeadProps) {
  const { view, onArrange } = useScreen();
  const [open, setOpen] = useState(false);
  const mark = useRef<HTMLButtonElement>(null);
  const filters = view.place.filters ?? [];
  const at = list.sort.findIndex((s) => s.path === column.path);
  const order = list.sort[at];
  const filtered = filters.some((f) => f.path === column.path);
  const number = column.type === 'whole' || column.type === 'decimal' || column.type === 'number';
  const words = column.unit ? `${column.label}, ${column.unit}` : column.label;
  const arrange = (change: { filters?: Filter[]; sort?: Sort[] }) =>
    onArrange({ filters, sort: view.place.sort ?? [], find: view.find, ...change });
  const sort = (e: React.MouseEvent) => {
    const next = { path: column.path, desc: order !== undefined && (at === 0 || e.shiftKey) && !order.desc };
    // With Shift it comes behind what the list is sorted by already.
    const kept = e.shiftKey ? list.sort.filter((s) => s.path !== column.path) : [];
    if (e.shiftKey && order) arrange({ sort: list.sort.map((s) => (s.path === column.path ? next : s)) });
    else arrange({ sort: [...kept, next] });
  };
  return (
    <Box
      as="th"
      aria-sort={at === 0 ? (order?.desc ? 'descending' : 'ascending') : undefined}
      w={`${(widths.share(column.path) / widths.total) * 100}%`}
      className="row-head"
      textAlign={number ? 'right' : 'left'}
      fontSize="note"
      fontWeight="600"
      color="muted"
      px="8px"
      py="4px"
    >
      {list.main ? (
        <Flex align="center" gap="2px" justify={number ? 'flex-end' : undefined}>
          <Box
            as="button"
            onClick={sort}
            title="Sort by this; with Shift, also by this"
            cursor="pointer"
            minH="28px"
            minW={0}
            truncate
            textAlign="left"
            _hover={{ color: 'ink' }}
            color={order ? 'ink' : undefined}
          >
            {words}
            {order && <SortMark desc={order.desc} at={list.sort.length > 1 ? at + 1 : 0} />}
          </Box>
          <Box
            ref={mark}
            as="button"
            aria-label={`Filter ${column.label}`}
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            cursor="pointer"
            minW="24px"
            minH="28px"
            flexShrink={0}
            color={filtered ? 'plum' : 'muted'}
            fontWeight="800"
          >
            {filtered ? '▾•' : '▾'}
          </Box>
        </Flex>
      ) : (
        words
      )}
      {list.main && <Edge column={column} widths={widths} />}
      {open && (
        <FilterBox
          column={column}
          below={mark.current}
          now={filters.filter((f) => f.path === column.path)}
          onClose={() => {
            setOpen(false);
            mark.current?.focus();
          }}
          onSet={(set) => {
            setOpen(false);
            arrange({ filters: [...filters.filter((x) => x.path !== column.path), ...set] });
          }}
        />
      )}
    </Box>
  );
}

function SortMark({ desc, at }: { desc?: boolean; at: number }) {
  return (
    <Box as="span" aria-hidden pl="3px">
      {desc ? '↓' : '↑'}
      {at > 0 && (
        <Box as="sup" fontSize="10px">
          {at}
        </Box>
      )}
    </Box>
  );
}

const keyStep = 0.1; // of a share, for each press of an arrow

/** The right edge of a heading: pulled with the pointer, or moved with the arrows. */
function Edge({ column, widths }: { column: ColumnView; widths: Widths }) {
  const from = useRef<{ x: number; share: number; perShare: number }>(undefined);
  const share = widths.share(column.path);
  return (
    <Box
      role="separator"
      aria-orientation="vertical"
      aria-label={`Width of ${column.label}`}
      aria-valuenow={Math.round((share / widths.total) * 100)}
      tabIndex={-1}
      position="absolute"
      top="4px"
      bottom="4px"
      right="-3px"
      w="6px"
      zIndex="1"
      cursor="col-resize"
      touchAction="none"
      _hover={{ borderRightWidth: '3px', borderColor: 'amber' }}
      onPointerDown={(e: React.PointerEvent<HTMLElement>) => {
        const table = e.currentTarget.closest('table');
        if (!table) return;
        e.preventDefault();
        e.currentTarget.setPointerCapture(e.pointerId);
        from.current = { x: e.clientX, share, perShare: table.clientWidth / widths.total };
      }}
      onPointerMove={(e: React.PointerEvent) => {
        const f = from.current;
        if (f) widths.set(column.path, f.share + (e.clientX - f.x) / f.perShare);
      }}
      onPointerUp={() => {
        from.current = undefined;
        void widths.keep();
      }}
      onKeyDown={(e: React.KeyboardEvent) => {
        if (e.key !== 'ArrowLeft' && e.key !== 'ArrowRight') return;
        e.preventDefault();
        widths.set(column.path, share + (e.key === 'ArrowRight' ? keyStep : -keyStep));
      }}
      onKeyUp={() => void widths.keep()}
    />
  );
}
