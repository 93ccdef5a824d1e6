import { memo } from 'react';
import type { ListView, RowView } from '../../api/client';
import { useScreen } from '../context';
import { Lead } from '../Lead';
import { RowMark } from '../RowMark';
import { Severity } from '../Severity';
import { RowChange } from './RowChange';

interface RowProps {
  index: number;
  measure: ((row: Element | null) => void) | undefined;
  list: ListView;
  row: RowView;
  active: boolean;
  ticked: boolean | undefined; // undefined: nothing can be done with several rows
  edits: boolean;
  most: Record<string, number> | undefined; // the largest number of each column that is drawn as bars
  hands: RowHands;
}

/** What rows do; the same for all of a list, so that only a row that changes is drawn anew. */
export interface RowHands {
  tick: (key: string) => void;
  choose: (key: string) => void;
  open: (key: string) => void;
  edit: (key: string) => void;
  menu: (row: RowView, at: DOMRect) => void;
}

/** One row: its first cell leads to the record, where it leads anywhere. */
export const ListRow = memo(function ListRow(p: RowProps) {
  const { list, row, hands } = p;
  const leads = row.open || list.choose;
  const menu = (row.menu?.length ?? 0) > 0;
  return (
    <tr
      ref={p.measure}
      data-index={p.index}
      className="row"
      data-leads={leads || undefined}
      data-tone={row.face?.tone || undefined}
      title={row.open ? undefined : row.reason}
      aria-current={p.active || undefined}
      onClick={(e) => {
        if (e.ctrlKey || e.metaKey || e.defaultPrevented) return;
        hands.choose(row.key);
        if (row.open) hands.open(row.key);
      }}
      onDoubleClick={() => p.edits && hands.edit(row.key)}
      onContextMenu={(e) => {
        if (!menu) return;
        e.preventDefault();
        hands.menu(row, new DOMRect(e.clientX, e.clientY, 0, 0));
      }}
    >
      {p.ticked !== undefined && (
        // biome-ignore lint/a11y/useKeyWithClickEvents: only keeps a tick from opening the row
        <td style={{ textAlign: 'center' }} onClick={(e) => e.stopPropagation()}>
          <input
            type="checkbox"
            aria-label={`Choose ${row.title}`}
            checked={p.ticked}
            onChange={() => hands.tick(row.key)}
          />
        </td>
      )}
      {row.cells.map((cell, i) => (
        <Cell key={list.columns[i]?.path} {...p} at={i} words={cell.words} value={cell.value} />
      ))}
      {list.menu && (
        <td className="cell">{menu && <RowMore title={row.title} onMenu={(at) => hands.menu(row, at)} />}</td>
      )}
    </tr>
  );
});

interface CellProps extends RowProps {
  at: number;
  words: string;
  value: string | undefined;
}

function Cell({ list, row, at, words, value, edits, most, hands }: CellProps) {
  const { base, builder } = useScreen();
  const column = list.columns[at];
  const long = column?.format === 'long'; // it has its lines broken
  const dated = !long && (column?.type === 'date' || column?.type === 'moment');
  const number = column?.type === 'whole' || column?.type === 'decimal' || column?.type === 'number';
  const shown = column?.choices && column.graded ? <Severity words={words} choices={column.choices} /> : words;
  const leads = at === 0 && row.open;
  const bar = column && most?.[column.path] ? Number(value) / (most[column.path] ?? 1) : undefined;
  return (
    <td
      className="cell"
      data-lead={at === 0 || undefined}
      data-narrow={(at === 0 && !long) || (list.main && dated) || undefined}
      data-number={number || undefined}
      data-align={column?.align}
      data-label={column?.label}
    >
      {bar !== undefined && bar > 0 && <span className="cell-bar" style={{ width: `${bar * 100}%` }} aria-hidden />}
      {at === 0 && row.face && (
        <>
          <RowMark face={row.face} /> <span className="heard">{row.face.words && `${row.face.words}: `}</span>
        </>
      )}
      {leads && (
        <Lead
          href={row.href && !builder ? base + row.href : undefined}
          onGo={() => {
            hands.choose(row.key);
            hands.open(row.key);
          }}
        >
          {shown}
        </Lead>
      )}
      {!leads && shown}
      {at === list.columns.length - 1 && edits && <RowChange title={row.title} onEdit={() => hands.edit(row.key)} />}
    </td>
  );
}

/** Opens the menu of a row. */
function RowMore({ title, onMenu }: { title: string; onMenu: (at: DOMRect) => void }) {
  return (
    <button
      type="button"
      className="row-more"
      aria-haspopup="menu"
      aria-label={`More for ${title}`}
      onClick={(e) => {
        e.preventDefault();
        e.stopPropagation();
        onMenu(e.currentTarget.getBoundingClientRect());
      }}
    >
      ⋯
    </button>
  );
}
