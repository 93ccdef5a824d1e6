import { Box, Flex } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';
import type { ReachLine, ReachTable } from '../../../api/client';
import { useSteady } from '../../../ui/useSteady';
import './reach.css';
import { columnsShown, type Shown, sayCell } from './cells';
import { AreaRow, CellBox, Columns, cellWidth, headWidth, LineHead } from './GridParts';
import { type Row, useCellKeys } from './useCellKeys';

const lineHeight = 34;
const areaHeight = 30;

interface GridProps {
  table: ReachTable;
  lines: ReachLine[];
  shown: Shown;
  chosen: { screen?: string; who?: string };
  onChoose: (screen: string, who: string) => void;
}

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
  const onKey = useCellKeys(rows, columns, { row: at, column }, (screen, who) => {
    byKey.current = true;
    onChoose(screen, who);
  });
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
        <Columns seen={seen} columns={columns} />
        {down.getVirtualItems().map((v) => {
          const row = rows[v.index];
          if (!row) return null;
          if ('area' in row)
            return <AreaRow key={v.key} name={row.area} at={v.index + 2} top={v.start + 36} height={v.size} />;
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
