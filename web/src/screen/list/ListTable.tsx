import { useMemo, useState } from 'react';
import type { ElementView, ListView, RowView } from '../../api/client';
import { useScreen } from '../context';
import { useEntryMenu } from '../useEntryMenu';
import { ColumnHead } from './ColumnHead';
import { EditRow } from './EditRow';
import { Empty, ListFoot } from './ListFoot';
import { ListRow } from './ListRow';
import { ListRows } from './ListRows';
import { ListTotals } from './ListTotals';
import { mostOf, narrowest } from './needs';
import { TickAll } from './TickAll';
import { useRowHands } from './useRowHands';
import { useRowKeys } from './useRowKeys';
import { useRows } from './useRows';
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

/** The rows of a list under headings that stay. */
export function ListTable({ element, list, stretch, widths, ticked, onTick }: TableProps) {
  const { work, onPress, builder } = useScreen();
  const { rows } = stretch;
  const shown = useRows(element.id, list, stretch);
  const { box, active, drawn, above, below } = shown;
  const top = useTop(box);
  const [editing, setEditing] = useState<string>();
  const menu = useEntryMenu((_, aim) => void onPress(element, aim));
  const adding = work?.adding === element.id;
  const rowOf = (key: string) => rows.find((r) => r.key === key);
  const open = (key: string) => rowOf(key)?.open && void onPress(element, { row: key });
  const tick = (key: string) => ticked && onTick(toggled(ticked, key));
  const showMenu = (row: RowView, at: DOMRect) => {
    const label = `What can be done with ${row.title}`;
    menu.open({ label, entries: row.menu ?? [], at, aim: { row: row.key } });
  };
  const menuOf = (key: string) => {
    const row = rowOf(key);
    const at = box.current?.querySelector('[aria-current=true]')?.getBoundingClientRect();
    if (row?.menu?.length && at) showMenu(row, at);
  };
  const inPlace = list.inPlace ?? false;
  const onKey = useRowKeys({ shown, stretch, inPlace, open, edit: setEditing, menu: menuOf, tick });
  const hands = useRowHands({ tick, choose: shown.choose, open, edit: setEditing, menu: showMenu });
  const rowAt = (index: number, measure?: (row: Element | null) => void) => {
    const row = rows[index];
    if (!row) return null;
    if (editing === row.key) {
      const end = () => setEditing(undefined);
      return <EditRow key={row.key || index} element={element} list={list} row={row} onEnd={end} />;
    }
    return (
      <ListRow
        key={row.key || index}
        index={index}
        measure={measure}
        list={list}
        row={row}
        active={row.key !== '' && active === row.key}
        ticked={ticked?.has(row.key)}
        edits={(inPlace && row.edits && !builder) ?? false}
        most={most}
        hands={hands}
      />
    );
  };
  const most = useMemo(() => mostOf(list, rows), [list, rows]);
  return (
    <>
      <section
        ref={box}
        className="rows"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the list is one stop for the keyboard; arrows go through its rows
        tabIndex={0}
        style={list.main ? roomFor(top, stretch.next !== undefined) : undefined}
        onKeyDown={onKey}
        onScroll={(e) => shown.onScroll(e.currentTarget.scrollTop)}
        aria-label={list.label}
        aria-busy={stretch.waiting}
      >
        <table
          className="rows-table"
          data-cards={list.cards || undefined}
          data-height={list.height}
          style={{ minWidth: narrowest(list, widths) + (ticked ? 34 : 0) }}
        >
          <thead>
            <tr>
              {ticked && <TickAll rows={rows.map((r) => r.key)} ticked={ticked} onTick={onTick} label={list.label} />}
              {list.columns.map((c) => (
                <ColumnHead key={c.path} column={c} list={list} widths={widths} />
              ))}
              {list.menu && (
                <th className="row-head" style={{ width: 38 }}>
                  <span className="heard">Menu</span>
                </th>
              )}
            </tr>
          </thead>
          <ListRows
            list={list}
            rows={rows}
            drawn={drawn}
            above={above}
            below={below}
            measure={shown.measure}
            rowAt={rowAt}
            fresh={adding && <EditRow element={element} list={list} onEnd={() => work?.onAdding(undefined)} />}
          />
          <ListTotals list={list} before={ticked ? 1 : 0} behind={list.menu ? 1 : 0} />
        </table>
        {rows.length === 0 && !adding && <Empty />}
      </section>
      {menu.menu}
      <ListFoot list={list} stretch={stretch} onJump={(toEnd) => void shown.jump(toEnd)} />
    </>
  );
}

/** How high a main list is: where more rows are to come it has all its room at once, and nothing below it moves when they do. */
function roomFor(top: number, more: boolean) {
  const all = `max(300px, calc(100dvh - ${top}px))`;
  return { maxHeight: all, minHeight: more ? all : undefined };
}

function toggled(from: Set<string>, key: string): Set<string> {
  const next = new Set(from);
  if (!next.delete(key)) next.add(key);
  return next;
}
