import { Box, Flex, Heading } from '@chakra-ui/react';
import { type ComponentType, useState } from 'react';
import type { PartView, PointView } from '../../api/client';
import { Action } from '../../ui/controls';
import { useScreen } from '../context';
import type { OfKind } from '../kinds/kind';
import { useEntryMenu } from '../useEntryMenu';
import { Bars } from './Bars';
import { Columns } from './Columns';
import { Dots } from './Dots';
import { PointTable } from './PointTable';
import { type Choosing, type PointsProps, type Shape, shadeOf, shapeOf, stretch } from './points';
import { Share } from './Share';

const drawings: Record<Shape, ComponentType<PointsProps>> = {
  bars: Bars,
  columns: Columns,
  line: Columns,
  area: Columns,
  share: Share,
  grid: PointTable,
  dots: Dots,
  table: PointTable,
};

const rest = '~rest'; // no value that a point can have

/** A chart as it is to be drawn, and as a table. Choosing a point goes through its gate; where the screen is
 * narrowed by its points, choosing the chosen one again shows all. */
export function Chart({ element }: { element: OfKind<'chart'> }) {
  const { chart } = element;
  const { view, onPress, onArrange } = useScreen();
  const [asTable, setAsTable] = useState(false);
  const shape = shapeOf(chart);
  // What lies beyond is drawn as a point, and cannot be chosen.
  const drawn = chart.rest ? { ...chart, points: [...chart.points, { ...chart.rest, value: rest }] } : chart;
  const Drawn = drawings[asTable ? 'table' : shape];
  const menu = useEntryMenu((_, aim) => void onPress(element, aim));
  const choose = (value: string, { also, to }: Choosing = {}) => {
    if (chart.chooses && value !== rest) void onPress(element, { point: value, also, pointTo: to });
  };
  const more = (p: PointView, at: DOMRect) =>
    menu.open({ label: `What can be done with ${p.label}`, entries: p.menu ?? [], at, aim: { point: p.value } });
  const chosen = chart.points.filter((p) => p.chosen);
  const first = chosen[0];
  const last = chosen.at(-1);
  const all = () => {
    if (!first || !last) return;
    const { filters = [], sort = [], find } = view.place;
    if (chart.several && chart.input) onArrange({ filters, sort, find, clear: [chart.input] });
    else choose(...stretch(chart, first.value, chart.span ? last.value : first.value)); // again: that shows all
  };
  if (chart.refused) return <Box color="muted">{chart.refused}</Box>;
  return (
    <Box>
      <Flex justify="space-between" align="baseline" mb="6px" wrap="wrap" gap="10px">
        <Heading as="h2" fontSize="text" fontWeight="800">
          {chart.label}
        </Heading>
        {first && last && (
          <Flex gap="8px" fontSize="note" align="baseline">
            only{' '}
            {chart.span && chosen.length > 1
              ? `${first.label} to ${last.label}`
              : chosen.map((p) => p.label).join(', ')}
            <Action minH="24px" onClick={all}>
              show all
            </Action>
          </Flex>
        )}
        {chart.splits && !asTable && (shape === 'bars' || shape === 'columns') && <Legend splits={chart.splits} />}
      </Flex>
      {chart.points.length === 0 && <Box color="muted">There is nothing to count here.</Box>}
      {chart.points.length > 0 && <Drawn chart={drawn} onChoose={choose} onMore={more} />}
      {chart.points.some((p) => p.before !== undefined) &&
        (shape === 'columns' || shape === 'line' || shape === 'area') && (
          <Box color="muted" fontSize="note">
            <Box
              as="span"
              display="inline-block"
              w="14px"
              borderTopWidth="2px"
              borderColor="ink"
              mb="4px"
              aria-hidden
            />{' '}
            a year before
          </Box>
        )}
      {chart.beyond && !chart.rest ? (
        <Box color="muted" fontSize="note">
          The {chart.points.length} largest of {chart.points.length + chart.beyond}
        </Box>
      ) : null}
      {chart.points.length > 0 && shape !== 'table' && shape !== 'grid' && (
        <Action tone="quiet" minH="24px" mt="4px" px="0" fontWeight="500" onClick={() => setAsTable(!asTable)}>
          {asTable ? 'as a drawing' : 'as a table'}
        </Action>
      )}
      {menu.menu}
    </Box>
  );
}

function Legend({ splits }: { splits: PartView[] }) {
  return (
    <Flex gap="4px 14px" flexWrap="wrap" fontSize="note" color="muted">
      {splits.map((s, i) => (
        <Flex key={s.value} align="center" gap="6px">
          <Box w="12px" h="12px" bg={shadeOf(i)} aria-hidden />
          {s.label}
        </Flex>
      ))}
    </Flex>
  );
}
