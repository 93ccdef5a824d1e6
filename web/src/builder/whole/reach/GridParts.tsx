import { Box, Flex } from '@chakra-ui/react';
import type { VirtualItem } from '@tanstack/react-virtual';
import { memo } from 'react';
import type { ReachCell, ReachLine } from '../../../api/client';
import { Glyph } from '../../../ui/Glyph';
import { type columnsShown, lookOf, sayCell } from './cells';
import './reach.css';

export const headWidth = 222; // px of the screens' names
export const cellWidth = 98;

/** The names of who is shown, in the columns that are seen. */
export function Columns({ seen, columns }: { seen: VirtualItem[]; columns: ReturnType<typeof columnsShown> }) {
  return (
    <Box role="row" position="sticky" top="0" zIndex="2" h="36px" bg="paper" borderBottomWidth="2px" borderColor="ink">
      <Box role="columnheader" position="sticky" left="0" w={`${headWidth}px`} h="34px" bg="paper" zIndex="1">
        <Box as="span" srOnly>
          Screen
        </Box>
      </Box>
      {seen.map((v) => {
        const who = columns[v.index]?.who;
        return (
          <Box
            key={v.key}
            role="columnheader"
            aria-colindex={v.index + 2}
            position="absolute"
            top="8px"
            fontSize="note"
            fontWeight="800"
            truncate
            title={
              who && `${who.name}${who.people ? `, ${who.people === 1 ? '1 person' : `${who.people} people`}` : ''}`
            }
            style={{ left: headWidth + v.start, width: cellWidth - 8 }}
          >
            {who?.name}
          </Box>
        );
      })}
    </Box>
  );
}

export function AreaRow({ name, at, top, height }: { name: string; at: number; top: number; height: number }) {
  return (
    <Box role="row" aria-rowindex={at} position="absolute" left="0" style={{ top, height }}>
      <Box
        role="rowheader"
        position="sticky"
        left="0"
        w={`${headWidth}px`}
        fontSize="12px"
        fontWeight="700"
        color="muted"
        textTransform="uppercase"
        letterSpacing="0.04em"
        pt="10px"
      >
        {name}
      </Box>
    </Box>
  );
}

export const LineHead = memo(function LineHead({ line }: { line: ReachLine }) {
  return (
    <Flex
      role="rowheader"
      position="sticky"
      left="0"
      zIndex="1"
      bg="paper"
      w={`${headWidth}px`}
      h="full"
      flexShrink={0}
      align="center"
      gap="8px"
      pr="8px"
    >
      <Glyph name={line.type} size={15} />
      <Box fontWeight="700" truncate title={line.title}>
        {line.title}
      </Box>
    </Flex>
  );
});

interface CellProps {
  cell: ReachCell;
  label: string;
  left: number;
  at: number;
  chosen: boolean;
  first: boolean;
  screen: string;
  who: string;
  onChoose: (screen: string, who: string) => void;
}

export const CellBox = memo(function CellBox({
  cell,
  label,
  left,
  at,
  chosen,
  first,
  screen,
  who,
  onChoose,
}: CellProps) {
  const look = lookOf(cell);
  const mark = cell.expected && { kept: '✓', broken: '✕', perhaps: '?' }[cell.expected];
  const told = { kept: 'as expected', broken: 'not as expected', perhaps: 'not proven to be as expected' };
  return (
    // biome-ignore lint/a11y/useSemanticElements: rows and columns that are not seen are not drawn, so it is no table
    <div
      role="gridcell"
      aria-colindex={at}
      aria-selected={chosen}
      aria-label={`${label}${cell.expected ? `; ${told[cell.expected]}` : ''}${cell.was ? `; before ${sayCell(cell.was)}` : ''}`}
      tabIndex={chosen || first ? 0 : -1}
      data-chosen={chosen}
      data-expected={cell.expected}
      data-dashed={look.dashed}
      className="reach-cell"
      style={{ left, width: cellWidth - 8 }}
      onClick={() => onChoose(screen, who)}
      onKeyDown={(e) => e.key === 'Enter' && onChoose(screen, who)}
    >
      <span className="reach-words" data-tone={look.color} data-bold={look.bold}>
        {look.words}
      </span>
      {mark && (
        <span className="reach-mark" data-expected={cell.expected} aria-hidden="true">
          {mark}
        </span>
      )}
      {cell.was && (
        <span className="reach-was" aria-hidden="true">
          was {lookOf(cell.was).words}
        </span>
      )}
    </div>
  );
});
