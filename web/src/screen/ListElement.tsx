import { Box, Flex, Heading } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import type { ElementView, ListView, RowView } from '../api/client';
import { Action } from '../ui/controls';
import { ColumnHead } from './ColumnHead';
import { useScreen } from './context';
import { Severity } from './Severity';

/** A list: headings that stay, rows that open, pages that are fetched as one asks for more. */
export function ListElement({ element, list }: { element: ElementView; list: ListView }) {
  const pages = usePages(element.id, list);
  if (list.refused) {
    return (
      <ListFrame list={list}>
        <Box p="14px" color="muted">
          {list.refused}
        </Box>
      </ListFrame>
    );
  }
  return (
    <ListFrame list={list}>
      <Box
        overflowX="auto"
        tabIndex={0}
        role="region"
        aria-label={list.label}
        maxH={list.main ? '68vh' : undefined}
        overflowY="auto"
      >
        <Box as="table" w="full" minW={`${list.columns.length * 92}px`} borderCollapse="collapse" tableLayout="fixed">
          <thead>
            <Box as="tr">
              {list.columns.map((c) => (
                <ColumnHead key={c.path} column={c} list={list} />
              ))}
            </Box>
          </thead>
          <tbody>
            {pages.rows.map((r) => (
              <Row key={r.key} element={element} list={list} row={r} />
            ))}
          </tbody>
        </Box>
        {pages.rows.length === 0 && <Empty />}
      </Box>
      <Flex align="center" gap="14px" pt="8px" fontSize="note" color="muted">
        {(list.main || pages.next) && list.count > 0 && (
          <span>
            {pages.rows.length < list.count ? `${pages.rows.length} of ` : ''}
            {list.more ? `more than ${list.count.toLocaleString('en')}` : list.count.toLocaleString('en')} rows
          </span>
        )}
        {pages.next && (
          <Action onClick={pages.more} disabled={pages.waiting}>
            {pages.waiting ? 'fetching …' : 'show more'}
          </Action>
        )}
      </Flex>
    </ListFrame>
  );
}

function ListFrame({ list, children }: { list: ListView; children: React.ReactNode }) {
  return (
    <Box>
      {!list.main && (
        <Heading as="h2" fontSize="text" fontWeight="800" mb="4px" mt="6px">
          {list.label}
        </Heading>
      )}
      {children}
    </Box>
  );
}

function Empty() {
  const { view } = useScreen();
  const narrowed = (view.context ?? []).length > 0;
  return (
    <Box py="22px" px="8px" color="muted">
      {narrowed ? 'Nothing here fits. Clear what narrows the list to see more.' : 'There is nothing here yet.'}
    </Box>
  );
}

/** Further pages, put behind the first; a new first page begins anew. */
function usePages(element: string, list: ListView) {
  const { more } = useScreen();
  const [extra, setExtra] = useState<{ of: ListView; rows: RowView[]; next?: string }>({ of: list, rows: [] });
  const [waiting, setWaiting] = useState(false);
  useEffect(() => setExtra({ of: list, rows: [], next: list.next }), [list]);
  const current = extra.of === list ? extra : { rows: [], next: list.next };
  return {
    rows: [...list.rows, ...current.rows],
    next: current.next,
    waiting,
    more: async () => {
      if (!current.next || waiting) return;
      setWaiting(true);
      try {
        const page = await more(element, current.next);
        setExtra({ of: list, rows: [...current.rows, ...page.rows], next: page.next });
      } finally {
        setWaiting(false);
      }
    },
  };
}

function Row({ element, list, row }: { element: ElementView; list: ListView; row: RowView }) {
  const { onPress, base, builder } = useScreen();
  const open = () => row.open && onPress(element, { row: row.key });
  return (
    <Box
      as="tr"
      borderBottomWidth="1px"
      borderColor="rule"
      cursor={row.open ? 'pointer' : undefined}
      _hover={row.open ? { bg: 'faint' } : undefined}
      title={row.open ? undefined : row.reason}
      onClick={(e) => {
        if (e.ctrlKey || e.metaKey || e.defaultPrevented) return;
        open();
      }}
    >
      {row.cells.map((cell, i) => {
        const column = list.columns[i];
        const narrow = i === 0 || column?.type === 'date' || column?.type === 'moment';
        const number = column?.type === 'whole' || column?.type === 'decimal' || column?.type === 'number';
        const words =
          column?.choices && column.graded ? <Severity words={cell.words} choices={column.choices} /> : cell.words;
        return (
          <Box
            as="td"
            key={column?.path}
            px="8px"
            py="7px"
            textAlign={number ? 'right' : 'left'}
            verticalAlign="top"
            overflowWrap="break-word"
            whiteSpace={narrow || number ? 'nowrap' : undefined}
            fontWeight={i === 0 ? '700' : '400'}
          >
            {i === 0 && row.open ? (
              <Box
                as="a"
                {...(row.href && !builder ? { href: base + row.href } : { role: 'link', tabIndex: 0 })}
                _hover={{ textDecoration: 'underline' }}
                onClick={(e: React.MouseEvent) => {
                  if (e.ctrlKey || e.metaKey) return;
                  e.preventDefault();
                  e.stopPropagation();
                  open();
                }}
                onKeyDown={(e: React.KeyboardEvent) => e.key === 'Enter' && builder && open()}
              >
                {words}
              </Box>
            ) : (
              words
            )}
          </Box>
        );
      })}
    </Box>
  );
}
