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

interface LineProps {
  row: MatrixRow;
  at: number;
  above: MatrixRow | undefined;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}

/** One row, below the name of its group where that begins. */
export function MatrixLine(p: LineProps) {
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
              boxShadow={p.chosen === c.id ? 'inset 0 0 0 2px {colors.amber}' : undefined}
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
