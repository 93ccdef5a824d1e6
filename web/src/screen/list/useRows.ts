import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import type { ListView } from '../../api/client';
import { useScreen } from '../context';
import type { Stretch } from './useStretch';

const rowHeight = 36; // px, until a row is measured
const near = 12; // rows from an end at which more are fetched

/** A row as it is drawn: its index, and where it begins and ends in px. */
export interface DrawnRow {
  index: number;
  start: number;
  end: number;
}

/**
 * The rows of a list that are drawn: of a main one only those near what is seen. More are fetched near an
 * end; where the list was left it is found again.
 */
export function useRows(element: string, list: ListView, stretch: Stretch) {
  const { work } = useScreen();
  const { rows } = stretch;
  const box = useRef<HTMLDivElement>(null);
  const [active, setActive] = useState<string | undefined>(list.chosen);
  const scrolled = useRef(0);
  const upward = useRef(false);
  useEffect(() => setActive(list.chosen), [list.chosen]);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 8,
    getItemKey: (i) => rows[i]?.key || i,
    enabled: list.main,
  });
  const items = virtual.getVirtualItems();
  const first = items[0]?.index ?? 0;
  const last = items[items.length - 1]?.index ?? 0;
  const seen = () => virtual.getVirtualItemForOffset(box.current?.scrollTop ?? 0)?.index ?? 0;

  const look = (row: string | undefined) => {
    const at = seen();
    // The stretch that is fetched on coming back begins a few rows above what was at the top.
    work?.keepLook(element, { start: rows[at - near]?.cursor, top: rows[at]?.key, row });
  };
  const choose = (key: string) => {
    setActive(key);
    look(key);
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: where one looks says what is to be fetched
  useEffect(() => {
    if (!list.main || stretch.waiting || stretch.problem || rows.length === 0) return;
    if (last >= rows.length - near && stretch.next) void stretch.grow(false);
    else if (first < near && stretch.before && wantsAbove(box.current, upward.current)) {
      const at = seen();
      void stretch.grow(true).then((n) => n > 0 && virtual.scrollToIndex(at + n, { align: 'start' }));
    }
  }, [first, last, rows.length, stretch.waiting, stretch.next, stretch.before]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each list that comes in
  useEffect(() => {
    if (!list.main) return;
    const at = list.rows.findIndex((r) => r.key === list.top);
    virtual.scrollToIndex(Math.max(0, at), { align: 'start' });
  }, [list]);

  const jump = async (toEnd: boolean) => {
    await stretch.jump(toEnd);
    requestAnimationFrame(() => box.current?.scrollTo(0, toEnd ? box.current.scrollHeight : 0));
  };
  const step = (by: number) => {
    const at = rows.findIndex((r) => r.key === active);
    const to = rows[Math.min(rows.length - 1, Math.max(0, at < 0 ? (by > 0 ? 0 : rows.length - 1) : at + by))];
    if (!to) return;
    choose(to.key);
    if (list.main) virtual.scrollToIndex(rows.indexOf(to));
  };
  const onScroll = (top: number) => {
    if (!list.main) return;
    upward.current = top < scrolled.current;
    scrolled.current = top;
    look(active);
  };
  const drawn: DrawnRow[] = list.main ? items : rows.map((_, index) => ({ index, start: 0, end: 0 }));
  return {
    box,
    active,
    choose,
    jump,
    step,
    onScroll,
    drawn,
    above: list.main ? (drawn[0]?.start ?? 0) : 0, // px that are not drawn
    below: list.main ? virtual.getTotalSize() - (drawn[drawn.length - 1]?.end ?? 0) : 0,
    page: Math.max(1, last - first - 10), // rows that a page has
    measure: list.main ? virtual.measureElement : undefined,
  };
}

/** Whether rows above those that are there are asked for: one scrolls up to them, or there is room for them. */
function wantsAbove(box: HTMLElement | null, upward: boolean) {
  if (!box) return false;
  return box.scrollHeight <= box.clientHeight || (upward && box.scrollTop < near * rowHeight);
}
