import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

export interface MatrixCell {
  id: string;
  label: string; // for who cannot see the row and the column
  content: ReactNode;
}

export interface MatrixRow {
  id: string;
  head: ReactNode;
  group?: string;
  cells: MatrixCell[];
}

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

function MatrixLine(p: {
  row: MatrixRow;
  at: number;
  above: MatrixRow | undefined;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}) {
  const { row } = p;
  return (
    <>
      {row.group !== undefined && row.group !== p.above?.group && (
        <tr>
          <Box
            as="td"
            {...{ colSpan: row.cells.length + 1 }}
            pt="12px"
            pb="2px"
            fontSize="12px"
            fontWeight="700"
            color="muted"
            textTransform="uppercase"
            letterSpacing="0.04em"
          >
            {row.group}
          </Box>
        </tr>
      )}
      <tr>
        <Box
          as="th"
          {...{ scope: 'row' }}
          textAlign="left"
          verticalAlign="top"
          py="6px"
          pr="12px"
          borderBottomWidth="1px"
          borderColor="rule"
          whiteSpace="nowrap"
          fontWeight="700"
        >
          {row.head}
        </Box>
        {row.cells.map((c, column) => (
          <Box as="td" key={c.id} verticalAlign="top" borderBottomWidth="1px" borderColor="rule" h="1px">
            <Box
              as="button"
              data-at={`${p.at}.${column}`}
              aria-label={c.label}
              aria-pressed={p.chosen === c.id}
              onClick={() => p.onChoose(c.id)}
              display="flex"
              flexDirection="column"
              justifyContent="flex-start"
              w="full"
              h="full"
              minH="38px"
              px="10px"
              py="7px"
              textAlign="left"
              fontSize="note"
              lineHeight="1.3"
              cursor="pointer"
              bg={p.chosen === c.id ? 'amberSoft' : undefined}
              boxShadow={p.chosen === c.id ? 'inset 0 0 0 2px var(--chakra-colors-amber)' : undefined}
              _hover={{ bg: p.chosen === c.id ? 'amberSoft' : 'faint' }}
            >
              {c.content}
            </Box>
          </Box>
        ))}
      </tr>
    </>
  );
}
