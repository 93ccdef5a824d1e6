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
    <th
      aria-label={words}
      aria-sort={at === 0 ? (order?.desc ? 'descending' : 'ascending') : undefined}
      className="row-head"
      data-number={number || undefined}
      data-align={column.align}
      style={{ width: `${(widths.share(column.path) / widths.total) * 100}%` }}
    >
      {list.main ? (
        <div className="row-head-tools">
          <button
            type="button"
            className="row-head-sort"
            data-sorted={order !== undefined || undefined}
            onClick={sort}
            title="Sort by this; with Shift, also by this"
          >
            {words}
            {order && <SortMark desc={order.desc} at={list.sort.length > 1 ? at + 1 : 0} />}
          </button>
          <button
            ref={mark}
            type="button"
            className="row-head-mark"
            data-narrowed={filtered || undefined}
            aria-label={`Filter ${column.label}`}
            aria-expanded={open}
            onClick={() => setOpen(!open)}
          >
            {filtered ? '▾•' : '▾'}
          </button>
        </div>
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
    </th>
  );
}

function SortMark({ desc, at }: { desc?: boolean; at: number }) {
  return (
    <span aria-hidden className="row-head-order">
      {desc ? '↓' : '↑'}
      {at > 0 && <sup>{at}</sup>}
    </span>
  );
}

const keyStep = 0.1; // of a share, for each press of an arrow

/** The right edge of a heading: pulled with the pointer, or moved with the arrows. */
function Edge({ column, widths }: { column: ColumnView; widths: Widths }) {
  const from = useRef<{ x: number; share: number; perShare: number }>(undefined);
  const share = widths.share(column.path);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a rule cannot be pulled
    <div
      className="row-head-edge"
      role="separator"
      aria-orientation="vertical"
      aria-label={`Width of ${column.label}`}
      aria-valuenow={Math.round((share / widths.total) * 100)}
      aria-busy={widths.keeping || undefined}
      tabIndex={-1}
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
