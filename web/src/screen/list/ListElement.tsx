import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { ListView } from '../../api/client';
import { useScreen } from '../context';
import type { OfKind } from '../kinds/kind';
import { ListTable } from './ListTable';
import { ListTools } from './ListTools';
import { SeveralBar } from './SeveralBar';
import { useStretch } from './useStretch';
import { useWidths } from './useWidths';

/** A list: what narrows and orders it, its rows, and what can be done with those that are chosen. */
export function ListElement({ element }: { element: OfKind<'list'> }) {
  const { list } = element;
  const { builder } = useScreen();
  const stretch = useStretch(element.id, list);
  const widths = useWidths(element.id, list);
  const [ticked, setTicked] = useState<Set<string>>(new Set());
  if (list.refused) {
    return (
      <ListFrame list={list}>
        <Box p="14px" color="muted">
          {list.refused}
        </Box>
      </ListFrame>
    );
  }
  const several = (list.several ?? []).length > 0 && !builder;
  return (
    <ListFrame list={list}>
      {list.main && <ListTools element={element} list={list} />}
      {several && ticked.size > 0 && (
        <SeveralBar element={element} list={list} ticked={ticked} onDone={() => setTicked(new Set())} />
      )}
      <ListTable
        element={element}
        list={list}
        stretch={stretch}
        widths={widths}
        ticked={several ? ticked : undefined}
        onTick={setTicked}
      />
    </ListFrame>
  );
}

function ListFrame({ list, children }: { list: ListView; children: React.ReactNode }) {
  return (
    <div>
      {!list.main && <h2 className="rows-name">{list.label}</h2>}
      {children}
    </div>
  );
}
