import { Box } from '@chakra-ui/react';
import type { View } from '../api/client';
import { useScreen } from './context';
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

/** One of them; a quiet one shows itself to a pointer or the keyboard alone, and makes no row taller. */
function EmptyCell({ gap: g, onPlant, onPress }: CellProps) {
  return (
    <Box
      as="button"
      aria-label={`Add something in row ${g.row}, column ${g.col}`}
      gridColumn={{ base: '1 / -1', md: `${g.col} / span ${g.w}` }}
      gridRow={{ base: 'auto', md: `${g.line}` }}
      display={g.quiet ? { base: 'none', md: 'block' } : undefined}
      minH={g.quiet ? 0 : '36px'}
      overflow="hidden"
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
