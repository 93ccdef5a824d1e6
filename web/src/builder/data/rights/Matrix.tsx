import { Box } from '@chakra-ui/react';
import { MatrixLine, type MatrixRow } from './MatrixLine';

interface MatrixProps {
  label: string;
  columns: { id: string; head: string }[];
  rows: MatrixRow[];
  chosen: string | undefined;
  onChoose: (id: string) => void;
}

/** A table of what meets what: one cell is chosen, arrows go from cell to cell. */
export function Matrix({ label, columns, rows, chosen, onChoose }: MatrixProps) {
  const onKey = (e: React.KeyboardEvent) => {
    const steps: Record<string, [number, number]> = {
      ArrowLeft: [0, -1],
      ArrowRight: [0, 1],
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
    };
    const step = steps[e.key];
    const from = e.target instanceof HTMLElement ? e.target.dataset.at : undefined;
    if (!step || !from) return;
    const [row = 0, column = 0] = from.split('.').map(Number);
    const next = e.currentTarget.querySelector<HTMLElement>(`[data-at="${row + step[0]}.${column + step[1]}"]`);
    if (next) {
      e.preventDefault();
      next.focus();
    }
  };
  return (
    <Box overflow="auto" flex="1" minH={0}>
      <Box
        as="table"
        w="full"
        aria-label={label}
        onKeyDown={onKey}
        css={{ borderCollapse: 'separate', borderSpacing: 0, tableLayout: 'fixed' }}
      >
        <thead>
          <tr>
            <Box as="td" position="sticky" top="0" bg="paper" zIndex="1" w="206px" />
            {columns.map((c) => (
              <Box
                as="th"
                key={c.id}
                {...{ scope: 'col' }}
                position="sticky"
                top="0"
                bg="paper"
                zIndex="1"
                textAlign="left"
                fontSize="note"
                fontWeight="800"
                px="10px"
                pb="6px"
                borderBottomWidth="2px"
                borderColor="ink"
              >
                {c.head}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => (
            <MatrixLine key={r.id} row={r} at={i} above={rows[i - 1]} chosen={chosen} onChoose={onChoose} />
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
