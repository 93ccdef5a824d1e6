import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Sort } from '../../api/client';
import type { Document } from '../../document/document.gen';
import { entityOf } from '../../document/parts';
import { mainListOf } from '../../document/screens';
import { fieldAlong } from '../../document/tables';
import { Action } from '../../ui/controls';
import { useBuild } from '../context';
import { descending } from '../descending';
import { Pop } from '../Pop';

/** What the walked user brings here: who it is, the record, what the screen was opened with. */
export function RightNow() {
  const { work, entities, screen } = useBuild();
  const [open, setOpen] = useState(false);
  const { view } = work;
  const rows: [string, string][] = [['walking as', work.user]];
  if (view?.record) rows.push(['on the record', view.record.title]);
  if (view) rows.push(['to', view.mode]);
  for (const c of view?.context ?? [])
    rows.push([c.path ? `filter on ${c.label.toLowerCase()}` : c.label.toLowerCase(), c.words]);
  if (view?.find) rows.push(['looking for', view.find]);
  for (const s of view?.place.sort ?? []) rows.push(['ordered by', orderWords(entities, screen, s)]);
  for (const v of view?.vars ?? [])
    rows.push([v.own ? `${v.label.toLowerCase()} (this screen)` : v.label.toLowerCase(), v.words]);
  const from = view?.place.from;
  if (from?.screen)
    rows.push(['came from the list of', entityOf(entities, from.screen, 'screen')?.title ?? 'a screen that is gone']);
  if (view) rows.push(['its address', view.address]);
  return (
    <Box position="relative" fontSize="note">
      <Action tone="quiet" aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(!open)}>
        right now
      </Action>
      {open && (
        <Pop label="Right now" onClose={() => setOpen(false)}>
          <Box
            as="dl"
            p="12px 16px"
            display="grid"
            gridTemplateColumns="auto 1fr"
            gap="4px 16px"
            minW="320px"
            tabIndex={-1}
          >
            {rows.map(([name, value]) => (
              <Box key={name + value} display="contents">
                <Box as="dt" color="muted">
                  {name}
                </Box>
                <Box as="dd" fontWeight="700" overflowWrap="anywhere">
                  {value}
                </Box>
              </Box>
            ))}
          </Box>
        </Pop>
      )}
    </Box>
  );
}

/** An order by the labels of the fields along its path: “cabin’s lift, newest first”. */
function orderWords(entities: Document, screen: string, sort: Sort): string {
  const table = mainListOf(entities, screen)?.table;
  const parts = sort.path.split('.');
  const along = parts.map((_, i) => fieldAlong(entities, table, parts.slice(0, i + 1).join('.')));
  const words = along.map((f) => f?.label.toLowerCase() ?? 'a field that is gone').join('’s ');
  return sort.desc ? `${words}, ${descending(along[along.length - 1])}` : words;
}
