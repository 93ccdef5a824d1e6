import { Box } from '@chakra-ui/react';
import type { View } from '../api/client';
import { useScreen } from './context';

interface Gap {
  row: number;
  line: number;
  col: number;
  w: number;
}

/** Cells that nothing stands in: a click makes something new there. Builders only. */
export function EmptyCells({ view, rows }: { view: View; rows: number[] }) {
  const { builder } = useScreen();
  if (!builder) return null;
  const onPlant = view.type === 'operator';
  const last = Math.max(0, ...view.elements.map((e) => e.cell.row + Math.max(1, e.cell.h ?? 1) - 1));
  const gaps = [...rowGaps(view, rows), { row: last + 1, line: rows.length + 1, col: 1, w: 3 }];
  return gaps.map((g) => (
    <Box
      as="button"
      key={`${g.row}.${g.col}`}
      aria-label={`Add something in row ${g.row}, column ${g.col}`}
      gridColumn={{ base: '1 / -1', md: `${g.col} / span ${g.w}` }}
      gridRow={{ base: 'auto', md: `${g.line}` }}
      minH="36px"
      borderWidth="1px"
      borderStyle="dashed"
      borderColor={onPlant ? 'plant.soft' : 'rule'}
      borderRadius="4px"
      color={onPlant ? 'plant.soft' : 'muted'}
      fontSize="note"
      cursor="pointer"
      _hover={{ borderColor: 'amber', color: onPlant ? 'plant.ink' : 'amberText' }}
      onClick={() => builder.onEmptyCell(g.row, g.col)}
    >
      + add here
    </Box>
  ));
}

/** Gaps of two columns or more beside buttons: elsewhere an empty cell is a matter of layout. */
function rowGaps(view: View, rows: number[]): Gap[] {
  const out: Gap[] = [];
  rows.forEach((row, i) => {
    const inRow = view.elements.filter((e) => e.cell.row === row);
    if (!inRow.some((e) => e.kind === 'button') || inRow.some((e) => (e.cell.h ?? 1) > 1)) return;
    const taken = new Set(inRow.flatMap((e) => Array.from({ length: e.cell.w }, (_, k) => e.cell.col + k)));
    const from = Math.max(...taken) + 1;
    if (from <= 11) out.push({ row, line: i + 1, col: from, w: Math.min(2, 13 - from) });
  });
  return out;
}
