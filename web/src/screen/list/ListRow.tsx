import { Box } from '@chakra-ui/react';
import type { ListView, RowView } from '../../api/client';
import { useScreen } from '../context';
import { Severity } from '../Severity';

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
}

/** One row: its first cell leads to the record, where it leads anywhere. */
export function ListRow(p: RowProps) {
  const { list, row } = p;
  return (
    <Box
      as="tr"
      ref={p.measure}
      data-index={p.index}
      borderBottomWidth="1px"
      borderColor="rule"
      cursor={row.open || list.choose ? 'pointer' : undefined}
      bg={p.active ? 'plumSoft' : undefined}
      boxShadow={p.active ? 'inset 4px 0 0 var(--chakra-colors-plum)' : undefined}
      _hover={row.open || list.choose ? { bg: p.active ? 'plumSoft' : 'faint' } : undefined}
      title={row.open ? undefined : row.reason}
      aria-current={p.active || undefined}
      onClick={(e) => {
        if (e.ctrlKey || e.metaKey || e.defaultPrevented) return;
        p.onChoose();
        if (row.open) p.onOpen();
      }}
      onDoubleClick={() => p.onEdit?.()}
    >
      {p.onTick && (
        <Box as="td" textAlign="center" onClick={(e: React.MouseEvent) => e.stopPropagation()}>
          <input type="checkbox" aria-label={`Choose ${row.title}`} checked={p.ticked} onChange={p.onTick} />
        </Box>
      )}
      {row.cells.map((cell, i) => (
        <Cell key={list.columns[i]?.path} {...p} at={i} words={cell.words} />
      ))}
    </Box>
  );
}

function Cell({ list, row, at, words, onChoose, onOpen, onEdit }: RowProps & { at: number; words: string }) {
  const { base, builder } = useScreen();
  const column = list.columns[at];
  const dated = column?.type === 'date' || column?.type === 'moment';
  const narrow = at === 0 || (list.main && dated);
  const number = column?.type === 'whole' || column?.type === 'decimal' || column?.type === 'number';
  const shown = column?.choices && column.graded ? <Severity words={words} choices={column.choices} /> : words;
  const leads = at === 0 && row.open;
  return (
    <Box
      as="td"
      px="8px"
      py="7px"
      textAlign={number ? 'right' : 'left'}
      verticalAlign="top"
      overflowWrap="break-word"
      whiteSpace={narrow || number ? 'nowrap' : undefined}
      fontWeight={at === 0 ? '700' : '400'}
    >
      {leads && (
        <Box
          as="a"
          {...(row.href && !builder ? { href: base + row.href } : { role: 'link', tabIndex: 0 })}
          _hover={{ textDecoration: 'underline' }}
          onClick={(e: React.MouseEvent) => {
            if (e.ctrlKey || e.metaKey || e.shiftKey) return;
            e.preventDefault();
            e.stopPropagation();
            onChoose();
            onOpen();
          }}
          onKeyDown={(e: React.KeyboardEvent) => e.key === 'Enter' && !row.href && onOpen()}
        >
          {shown}
        </Box>
      )}
      {!leads && shown}
      {at === list.columns.length - 1 && onEdit && (
        <Box
          as="button"
          float="right"
          aria-label={`Change ${row.title}`}
          fontSize="note"
          color="pine"
          fontWeight="700"
          textDecoration="underline"
          cursor="pointer"
          pl="12px"
          onClick={(e: React.MouseEvent) => {
            e.preventDefault();
            onEdit();
          }}
        >
          change
        </Box>
      )}
    </Box>
  );
}
