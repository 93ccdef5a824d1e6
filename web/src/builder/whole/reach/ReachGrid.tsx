import { Box, Flex } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useRef } from 'react';
import type { ReachCell, ReachLine, ReachTable } from '../../../api/client';
import { Glyph } from '../../../ui/Glyph';
import { useSteady } from '../../../ui/useSteady';
import './reach.css';
import { columnsShown, lookOf, type Shown, sayCell } from './cells';

const headWidth = 222; // px of the screens' names
const cellWidth = 98;
const lineHeight = 34;
const areaHeight = 30;

interface GridProps {
  table: ReachTable;
  lines: ReachLine[];
  shown: Shown;
  chosen: { screen?: string; who?: string };
  onChoose: (screen: string, who: string) => void;
}

type Row = { area: string } | { line: ReachLine };

/** Screens by who: only the rows and columns that are seen are drawn; one cell is chosen, arrows go from cell to cell. */
export function ReachGrid({ table, lines, shown, chosen, onChoose }: GridProps) {
  const box = useRef<HTMLDivElement>(null);
  const byKey = useRef(false); // an arrow chose: the focus goes along
  const columns = columnsShown(table, shown);
  const rows: Row[] = lines.flatMap((line, i) =>
    lines[i - 1]?.area === line.area && i > 0 ? [{ line }] : [{ area: line.area || 'No area' }, { line }],
  );
  const down = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: (i) => (rows[i] && 'area' in rows[i] ? areaHeight : lineHeight),
    overscan: 12,
    scrollPaddingStart: 40,
  });
  const across = useVirtualizer({
    horizontal: true,
    count: columns.length,
    getScrollElement: () => box.current,
    estimateSize: () => cellWidth,
    overscan: 4,
    scrollPaddingStart: headWidth,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is shown decides where rows stand
  useEffect(() => down.measure(), [lines]);
  const at = rows.findIndex((r) => 'line' in r && r.line.screen === chosen.screen);
  const column = columns.findIndex((c) => c.who.key === chosen.who);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each that is chosen
  useEffect(() => {
    if (at >= 0) down.scrollToIndex(at);
    if (column >= 0) across.scrollToIndex(column);
    if (byKey.current)
      requestAnimationFrame(() => box.current?.querySelector<HTMLElement>('[data-chosen="true"]')?.focus());
    byKey.current = false;
  }, [chosen.screen, chosen.who]);
  const go = useSteady((row: number, col: number) => {
    const to = rows[row];
    const who = columns[Math.max(0, Math.min(columns.length - 1, col))];
    if (!to || !('line' in to) || !who) return;
    byKey.current = true;
    onChoose(to.line.screen, who.who.key);
  });
  const onKey = (e: React.KeyboardEvent) => {
    const from = at >= 0 ? at : rows.findIndex((r) => 'line' in r);
    const here = column >= 0 ? column : 0;
    const next = (by: number) => {
      let to = from + by;
      while (rows[to] && 'area' in (rows[to] ?? {})) to += by;
      return rows[to] ? to : from;
    };
    const to: Record<string, [number, number]> = {
      ArrowUp: [next(-1), here],
      ArrowDown: [next(1), here],
      ArrowLeft: [from, here - 1],
      ArrowRight: [from, here + 1],
      Home: [from, 0],
      End: [from, columns.length - 1],
    };
    const step = to[e.key];
    if (!step) return;
    e.preventDefault();
    go(...step);
  };
  const choose = useSteady((screen: string, who: string) => onChoose(screen, who));
  const width = headWidth + across.getTotalSize();
  const seen = across.getVirtualItems();
  return (
    <Box ref={box} flex="1" minH={0} overflow="auto" position="relative" tabIndex={-1} data-testid="reach-grid">
      <Box
        role="grid"
        aria-label="Who gets where"
        aria-rowcount={rows.length + 1}
        aria-colcount={columns.length + 1}
        onKeyDown={onKey}
        position="relative"
        style={{ width, height: down.getTotalSize() + 36 }}
      >
        <Box
          role="row"
          position="sticky"
          top="0"
          zIndex="2"
          h="36px"
          bg="paper"
          borderBottomWidth="2px"
          borderColor="ink"
        >
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
                title={who && `${who.name}${who.people ? `, ${who.people} people` : ''}`}
                style={{ left: headWidth + v.start, width: cellWidth - 8 }}
              >
                {who?.name}
              </Box>
            );
          })}
        </Box>
        {down.getVirtualItems().map((v) => {
          const row = rows[v.index];
          if (!row) return null;
          if ('area' in row)
            return (
              <Box
                key={v.key}
                role="row"
                aria-rowindex={v.index + 2}
                position="absolute"
                left="0"
                style={{ top: v.start + 36, height: v.size }}
              >
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
                  {row.area}
                </Box>
              </Box>
            );
          const { line } = row;
          return (
            <Flex
              key={v.key}
              role="row"
              aria-rowindex={v.index + 2}
              position="absolute"
              left="0"
              borderBottomWidth="1px"
              borderColor="rule"
              style={{ top: v.start + 36, height: v.size, width }}
            >
              <LineHead line={line} />
              {seen.map((col) => {
                const of = columns[col.index];
                const cell = of && line.cells[of.at];
                if (!of || !cell) return null;
                const here = chosen.screen === line.screen && chosen.who === of.who.key;
                return (
                  <CellBox
                    key={col.key}
                    cell={cell}
                    label={`${of.who.name}, ${line.title}: ${sayCell(cell)}`}
                    left={headWidth + col.start}
                    at={col.index + 2}
                    chosen={here}
                    first={at < 0 && v.index <= 1 && col.index === 0}
                    screen={line.screen}
                    who={of.who.key}
                    onChoose={choose}
                  />
                );
              })}
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}

const LineHead = memo(function LineHead({ line }: { line: ReachLine }) {
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

const CellBox = memo(function CellBox({ cell, label, left, at, chosen, first, screen, who, onChoose }: CellProps) {
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
