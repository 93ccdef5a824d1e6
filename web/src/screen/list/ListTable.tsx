import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import type { ElementView, ListView, RowView } from '../../api/client';
import { useScreen } from '../context';
import { useEntryMenu } from '../useEntryMenu';
import { ColumnHead } from './ColumnHead';
import { EditRow } from './EditRow';
import { Empty, ListFoot } from './ListFoot';
import { ListRow } from './ListRow';
import { narrowest } from './needs';
import { TickAll } from './TickAll';
import { useRowHands } from './useRowHands';
import type { Stretch } from './useStretch';
import { useTop } from './useTop';
import type { Widths } from './useWidths';

interface TableProps {
  element: ElementView;
  list: ListView;
  stretch: Stretch;
  widths: Widths;
  ticked: Set<string> | undefined; // undefined: nothing can be done with several rows
  onTick: (ticked: Set<string>) => void;
}

const rowHeight = 36; // px, until a row is measured
const near = 12; // rows from an end at which more are fetched

/** The rows of a list under headings that stay. Only those near what is seen are drawn. */
export function ListTable({ element, list, stretch, widths, ticked, onTick }: TableProps) {
  const { work, onPress, builder } = useScreen();
  const box = useRef<HTMLDivElement>(null);
  const [active, setActive] = useState<string | undefined>(list.chosen);
  const top = useTop(box);
  const scrolled = useRef(0);
  const upward = useRef(false);
  const [editing, setEditing] = useState<string>();
  const menu = useEntryMenu((_, aim) => void onPress(element, aim));
  const adding = work?.adding === element.id;
  const { rows } = stretch;
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

  const look = (row: string | undefined) => {
    const at = virtual.getVirtualItemForOffset(box.current?.scrollTop ?? 0)?.index ?? 0;
    // The stretch that is fetched on coming back begins a few rows above what was at the top.
    work?.keepLook(element.id, { start: rows[at - near]?.cursor, top: rows[at]?.key, row });
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
      const seen = virtual.getVirtualItemForOffset(box.current?.scrollTop ?? 0)?.index ?? 0;
      void stretch.grow(true).then((n) => n > 0 && virtual.scrollToIndex(seen + n, { align: 'start' }));
    }
  }, [first, last, rows.length, stretch.waiting, stretch.next, stretch.before]);

  // Where the list was left it is found again.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each list that comes in
  useEffect(() => {
    if (!list.main) return;
    const at = list.rows.findIndex((r) => r.key === list.top);
    virtual.scrollToIndex(Math.max(0, at), { align: 'start' });
  }, [list]);

  const open = (key: string) => {
    const row = rows.find((r) => r.key === key);
    if (row?.open) void onPress(element, { row: key });
  };
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
  const showMenu = (row: RowView, at: DOMRect) => {
    const label = `What can be done with ${row.title}`;
    menu.open({ label, entries: row.menu ?? [], at, aim: { row: row.key } });
  };
  const menuOf = (key: string | undefined) => {
    const row = rows.find((r) => r.key === key);
    const at = box.current?.querySelector('[aria-current=true]')?.getBoundingClientRect();
    if (row?.menu?.length && at) showMenu(row, at);
  };
  const onKey = (e: React.KeyboardEvent) => {
    if (e.target !== box.current || e.altKey || e.ctrlKey || e.metaKey) return;
    const page = Math.max(1, last - first - 10);
    const moves: Record<string, () => void> = {
      ArrowDown: () => step(1),
      ArrowUp: () => step(-1),
      PageDown: () => step(page),
      PageUp: () => step(-page),
      Home: () => void (stretch.before ? jump(false) : step(-rows.length)),
      End: () => void (stretch.next ? jump(true) : step(rows.length)),
      Enter: () => active && (list.inPlace ? setEditing(active) : open(active)),
      ContextMenu: () => menuOf(active),
      F2: () => active && list.inPlace && setEditing(active),
      ' ': () => active && ticked && onTick(toggled(ticked, active)),
    };
    const move = moves[e.key];
    if (!move) return;
    e.preventDefault();
    move();
  };

  const hands = useRowHands({
    tick: (key) => ticked && onTick(toggled(ticked, key)),
    choose,
    open,
    edit: setEditing,
    menu: showMenu,
  });
  const drawn = list.main
    ? items.map((i) => ({ index: i.index, start: i.start, end: i.end }))
    : rows.map((_, index) => ({ index, start: 0, end: 0 }));
  const above = list.main ? (drawn[0]?.start ?? 0) : 0;
  const below = list.main ? virtual.getTotalSize() - (drawn[drawn.length - 1]?.end ?? 0) : 0;
  const span = list.columns.length + (ticked ? 1 : 0) + (list.menu ? 1 : 0);
  const none = rows.length === 0 && !adding;
  return (
    <>
      <section
        ref={box}
        className="rows"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the list is one stop for the keyboard; arrows go through its rows
        tabIndex={0}
        style={list.main ? { maxHeight: `max(300px, calc(100dvh - ${top}px))` } : undefined}
        onKeyDown={onKey}
        onScroll={(e) => {
          if (!list.main) return;
          upward.current = e.currentTarget.scrollTop < scrolled.current;
          scrolled.current = e.currentTarget.scrollTop;
          look(active);
        }}
        aria-label={list.label}
        aria-busy={stretch.waiting}
      >
        <table className="rows-table" style={{ minWidth: narrowest(list, widths) + (ticked ? 34 : 0) }}>
          <thead>
            <tr>
              {ticked && <TickAll rows={rows.map((r) => r.key)} ticked={ticked} onTick={onTick} label={list.label} />}
              {list.columns.map((c) => (
                <ColumnHead key={c.path} column={c} list={list} widths={widths} />
              ))}
              {list.menu && <th className="row-head" style={{ width: 38 }} aria-label="More" />}
            </tr>
          </thead>
          <tbody>
            {above > 0 && <Gap height={above} span={span} />}
            {drawn.map(({ index }) => {
              const row = rows[index];
              if (!row) return null;
              if (editing === row.key) {
                return (
                  <EditRow
                    key={row.key || index}
                    element={element}
                    list={list}
                    row={row}
                    onEnd={() => setEditing(undefined)}
                  />
                );
              }
              return (
                <ListRow
                  key={row.key || index}
                  index={index}
                  measure={list.main ? virtual.measureElement : undefined}
                  list={list}
                  row={row}
                  active={row.key !== '' && active === row.key}
                  ticked={ticked?.has(row.key)}
                  edits={(list.inPlace && row.edits && !builder) ?? false}
                  hands={hands}
                />
              );
            })}
            {adding && <EditRow element={element} list={list} onEnd={() => work?.onAdding(undefined)} />}
            {below > 0 && <Gap height={below} span={span} />}
          </tbody>
        </table>
        {none && <Empty />}
      </section>
      {menu.menu}
      <ListFoot list={list} stretch={stretch} onJump={(toEnd) => void jump(toEnd)} />
    </>
  );
}

function toggled(from: Set<string>, key: string): Set<string> {
  const next = new Set(from);
  if (!next.delete(key)) next.add(key);
  return next;
}

function Gap({ height, span }: { height: number; span: number }) {
  return (
    <tr aria-hidden>
      <td colSpan={span} style={{ height, padding: 0 }} />
    </tr>
  );
}

/** Whether rows above those that are there are asked for: one scrolls up to them, or there is room for them. */
function wantsAbove(box: HTMLElement | null, upward: boolean) {
  if (!box) return false;
  return box.scrollHeight <= box.clientHeight || (upward && box.scrollTop < near * rowHeight);
}
