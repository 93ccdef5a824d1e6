import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { Fragment, memo, useState } from 'react';
import type { ElementView } from '../api/client';
import { ContextChips } from './ContextChips';
import { type Frame, useScreen, useTyped, useView } from './context';
import { EmptyCells } from './EmptyCells';
import { foldedRows, placedOf, usedRows } from './layout';
import { OperatorSheet } from './OperatorSheet';
import { PositionLine } from './PositionLine';
import { placeOf, SheetCell } from './SheetCell';

/** A screen as it is drawn: the same for users and builders. */
export const ScreenSheet = memo(function ScreenSheet({ headingRef }: { headingRef?: React.Ref<HTMLHeadingElement> }) {
  const { view } = useScreen();
  if (view.type === 'operator') return <OperatorSheet headingRef={headingRef} />;
  return (
    <Box className="sheet" px="16px" py="14px" maxW="1280px" mx="auto" w="full">
      <SheetHead view={view} headingRef={headingRef} />
      <SheetGrid />
    </Box>
  );
});

function SheetHead({ view, headingRef }: { view: Frame; headingRef?: React.Ref<HTMLHeadingElement> }) {
  return (
    <Flex align="center" gap="14px" wrap="wrap" minH="36px" mb="10px">
      <Heading
        ref={headingRef}
        as="h1"
        tabIndex={-1}
        fontSize="title"
        fontWeight="800"
        lineHeight="1.2"
        _focusVisible={{ outline: 'none' }}
      >
        {view.heading}
      </Heading>
      {view.mode === 'edit' && <ModeMark words="editing" />}
      {view.mode === 'add' && <ModeMark words="not saved yet" />}
      {view.mode === 'edit' && <UnsavedMark />}
      <PositionLine />
      <ContextChips />
    </Flex>
  );
}

function UnsavedMark() {
  const { values } = useTyped();
  return Object.keys(values).length > 0 && <ModeMark words="changed, not saved" />;
}

function ModeMark({ words }: { words: string }) {
  return (
    <Box bg="amberSoft" color="amberText" px="8px" py="2px" fontSize="note" fontWeight="700" borderRadius="3px">
      {words}
    </Box>
  );
}

/** Elements in their cells: twelve columns, one below the other where it is narrow. */
const SheetGrid = memo(function SheetGrid() {
  const { builder } = useScreen();
  const view = useView();
  const rows = usedRows(view);
  const folds = foldedRows(view);
  const [open, setOpen] = useState<number[]>([]);
  const folded = (e: ElementView) => {
    const fold = folds.get(e.cell.row);
    return fold?.ids.includes(e.id) && !open.includes(e.cell.row) ? fold.below : undefined;
  };
  return (
    <Grid
      templateColumns="repeat(12, minmax(0, 1fr))"
      gap="14px 16px"
      gridAutoRows="min-content"
      alignItems="start"
      data-sheet="0"
    >
      {placedOf(view).map(({ element: e, inside }) => (
        <Fragment key={e.id}>
          {folds.get(e.cell.row)?.ids[0] === e.id && (
            <button
              type="button"
              className="sheet-more"
              data-below={folds.get(e.cell.row)?.below}
              style={placeOf(e, rows, { row: 1, col: 1 })}
              aria-expanded={open.includes(e.cell.row)}
              onClick={() => setOpen((old) => toggled(old, e.cell.row))}
            >
              {open.includes(e.cell.row) ? 'fewer' : `${folds.get(e.cell.row)?.ids.length} more`}
            </button>
          )}
          <SheetCell element={e} inside={inside} rows={rows} from={{ row: 1, col: 1 }} folded={folded(e)} />
        </Fragment>
      ))}
      {builder && <EmptyCells view={view} rows={rows} />}
    </Grid>
  );
});

const toggled = (rows: number[], row: number) => (rows.includes(row) ? rows.filter((r) => r !== row) : [...rows, row]);
