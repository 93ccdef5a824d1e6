import type { ListView, RowView } from '../../api/client';
import { useScreen } from '../context';
import { Lead } from '../Lead';
import { Severity } from '../Severity';
import { RowChange } from './RowChange';

interface RowProps {
  index: number;
  measure: ((row: Element | null) => void) | undefined;
  list: ListView;
  row: RowView;
  active: boolean;
  ticked: boolean | undefined;
  onTick: (() => void) | undefined;
  onChoose: () => void;
  onOpen: () => void;
  onEdit: (() => void) | undefined;
  onMenu: ((at: DOMRect) => void) | undefined;
}

/** One row: its first cell leads to the record, where it leads anywhere. */
export function ListRow(p: RowProps) {
  const { list, row } = p;
  const leads = row.open || list.choose;
  return (
    <tr
      ref={p.measure}
      data-index={p.index}
      className="row"
      data-leads={leads || undefined}
      title={row.open ? undefined : row.reason}
      aria-current={p.active || undefined}
      onClick={(e) => {
        if (e.ctrlKey || e.metaKey || e.defaultPrevented) return;
        p.onChoose();
        if (row.open) p.onOpen();
      }}
      onDoubleClick={() => p.onEdit?.()}
      onContextMenu={(e) => {
        if (!p.onMenu) return;
        e.preventDefault();
        p.onMenu(new DOMRect(e.clientX, e.clientY, 0, 0));
      }}
    >
      {p.onTick && (
        // biome-ignore lint/a11y/useKeyWithClickEvents: only keeps a tick from opening the row
        <td style={{ textAlign: 'center' }} onClick={(e) => e.stopPropagation()}>
          <input type="checkbox" aria-label={`Choose ${row.title}`} checked={p.ticked} onChange={p.onTick} />
        </td>
      )}
      {row.cells.map((cell, i) => (
        <Cell key={list.columns[i]?.path} {...p} at={i} words={cell.words} />
      ))}
      {list.menu && <td className="cell">{p.onMenu && <RowMore title={row.title} onMenu={p.onMenu} />}</td>}
    </tr>
  );
}

function Cell({ list, row, at, words, onChoose, onOpen, onEdit }: RowProps & { at: number; words: string }) {
  const { base, builder } = useScreen();
  const column = list.columns[at];
  const dated = column?.type === 'date' || column?.type === 'moment';
  const number = column?.type === 'whole' || column?.type === 'decimal' || column?.type === 'number';
  const shown = column?.choices && column.graded ? <Severity words={words} choices={column.choices} /> : words;
  const leads = at === 0 && row.open;
  return (
    <td
      className="cell"
      data-lead={at === 0 || undefined}
      data-narrow={at === 0 || (list.main && dated) || undefined}
      data-number={number || undefined}
    >
      {leads && (
        <Lead
          href={row.href && !builder ? base + row.href : undefined}
          onGo={() => {
            onChoose();
            onOpen();
          }}
        >
          {shown}
        </Lead>
      )}
      {!leads && shown}
      {at === list.columns.length - 1 && onEdit && <RowChange title={row.title} onEdit={onEdit} />}
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
