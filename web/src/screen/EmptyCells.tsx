import { Box } from '@chakra-ui/react';
import type { ElementView, View } from '../api/client';
import { useScreen, useView } from './context';
import { type Gap, gapsOf, tabAt } from './gaps';

/** Cells that nothing stands in: a click makes something new there. Builders only. */
export function EmptyCells({ view, rows }: { view: View; rows: number[] }) {
  const { builder } = useScreen();
  if (!builder) return null;
  return gapsOf(view, rows).map((g) => (
    <EmptyCell
      key={`${g.row}.${g.col}`}
      gap={g}
      onPlant={view.type === 'operator'}
      onPress={(at) => builder.onEmptyCell({ row: g.row, col: g.col, at, tab: tabAt(view, g.row) })}
    />
  ));
}

interface CellProps {
  gap: Gap;
  onPlant: boolean;
  onPress: (at: DOMRect) => void;
}

const placeOf = (g: Gap): React.CSSProperties => {
  const vars: Record<string, number> = { '--col': g.col, '--w': g.w, '--row': g.line };
  return vars;
};

/** One of them; a quiet one shows itself to a pointer or the keyboard alone, and makes no row taller. */
function EmptyCell({ gap: g, onPlant, onPress }: CellProps) {
  return (
    <Box
      as="button"
      aria-label={`Add something in row ${g.row}, column ${g.col}`}
      className={onPlant ? undefined : 'sheet-gap'}
      data-quiet={g.quiet || undefined}
      style={onPlant ? { gridColumn: `${g.col} / span ${g.w}`, gridRow: g.line } : placeOf(g)}
      minH={g.quiet ? 0 : '36px'}
      overflow="hidden"
      position="relative"
      opacity={g.quiet ? 0 : 1}
      borderWidth="1px"
      borderStyle="dashed"
      borderColor={onPlant ? 'plant.soft' : 'rule'}
      borderRadius="4px"
      color={onPlant ? 'plant.soft' : 'muted'}
      fontSize="note"
      cursor="pointer"
      _hover={{ opacity: 1, borderColor: 'amber', color: onPlant ? 'plant.ink' : 'amberText' }}
      _focusVisible={{ opacity: 1 }}
      onClick={(e: React.MouseEvent) => onPress(e.currentTarget.getBoundingClientRect())}
    >
      + add here
    </Box>
  );
}

/** What is put here stands in a frame, below all that stands there. Builders only. */
export function AddInFrame({ frame }: { frame: ElementView }) {
  const { builder } = useScreen();
  const view = useView();
  const words = frame.kind === 'group' ? frame.group.words : '';
  const { row, col, h } = frame.cell;
  const end = row + Math.max(1, h ?? 1);
  return (
    <button
      type="button"
      className="frame-add"
      aria-label={`Add something to “${words}”`}
      onClick={(e) => {
        const at = e.currentTarget.getBoundingClientRect();
        builder?.onEmptyCell({ row: end, col, at, tab: tabAt(view, row), frame: frame.id });
      }}
    >
      + add here
    </button>
  );
}
