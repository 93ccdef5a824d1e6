import { Box, Flex } from '@chakra-ui/react';
import type { PartView, PointView } from '../../api/client';
import { useLanguage } from '../context';
import { PointWords } from './PointWords';
import { choosing, faded, type PointsProps, shadeOf, shapeOf } from './points';
import { useStretch } from './useStretch';

const labels = 5; // below, at most
const room = 0.14; // of the width, that a label needs where it is narrow
const ground = 190; // px of height for the highest column

/** Columns beside each other, or a line over them. Each is a button: what it stands for can be chosen. */
export function Columns({ chart, onChoose, onMore }: PointsProps) {
  const shape = shapeOf(chart);
  const { amount, day } = useLanguage();
  const most = Math.max(1e-9, ...chart.points.flatMap((p) => [p.n, p.before ?? 0]));
  const step = Math.ceil(chart.points.length / labels);
  const drawn = useStretch(chart, onChoose);
  const roomy = (i: number) => chart.points.length <= labels || (chart.points.length - i) / chart.points.length > room;
  return (
    <Box position="relative" pt="18px">
      <Box position="absolute" top="0" left="0" fontSize="note" color="muted">
        {amount(most)} {chart.unit}
      </Box>
      {shape !== 'columns' && <Line chart={chart} most={most} filled={shape === 'area'} />}
      <Flex
        align="flex-end"
        gap={shape === 'columns' ? '2px' : 0}
        h={`${ground}px`}
        borderTopWidth="1px"
        borderBottomWidth="1px"
        borderColor="rule"
      >
        {chart.points.map((p) => (
          <Flex
            as="button"
            key={p.value}
            flex="1"
            minW="4px"
            h="full"
            align="flex-end"
            className="group"
            position="relative"
            cursor={chart.chooses ? 'pointer' : 'default'}
            opacity={faded(chart, p)}
            aria-label={`${p.label}: ${amount(p.n)} ${chart.unit ?? ''}`.trim() + then(p, amount)}
            aria-pressed={chart.again ? (p.chosen ?? false) : undefined}
            bg={drawn.holds(p) ? 'amberSoft' : undefined}
            _hover={{ bg: drawn.holds(p) ? 'amberSoft' : 'faint' }}
            {...drawn.hands(p)}
            onClick={(e: React.MouseEvent) => onChoose(...choosing(chart, p, e))}
            onContextMenu={(e: React.MouseEvent) => {
              if (!p.menu) return;
              e.preventDefault();
              onMore(p, e.currentTarget.getBoundingClientRect());
            }}
          >
            {shape === 'columns' ? (
              <Column point={p} splits={chart.splits} most={most} />
            ) : (
              <Box
                position="absolute"
                left="calc(50% - 4px)"
                bottom={`${(p.n / most) * (ground - 4) - 4}px`}
                boxSize="8px"
                borderRadius="50%"
                bg={shadeOf(3)}
                visibility={p.chosen ? 'visible' : 'hidden'}
                _groupHover={{ visibility: 'visible' }}
                _groupFocusVisible={{ visibility: 'visible' }}
              />
            )}
            <PointWords>
              <b>{p.label}</b>: {amount(p.n)} {chart.unit}
              {then(p, amount)}
            </PointWords>
            {p.before !== undefined && (
              <Box
                position="absolute"
                left="0"
                right="0"
                bottom={`${(p.before / most) * (ground - 4)}px`}
                borderTopWidth="2px"
                borderColor="ink"
                aria-hidden
              />
            )}
          </Flex>
        ))}
      </Flex>
      <Flex gap="2px" h="22px" fontSize="note" color="muted" pt="3px">
        {chart.points.map((p, i) => (
          <Box key={p.value} flex="1" minW="4px" position="relative">
            {i % step === 0 && roomy(i) && (
              <Box position="absolute" left="0" whiteSpace="nowrap">
                {chart.span === 'range'
                  ? amount(Number(p.value))
                  : chart.span
                    ? shortly(p.value, chart.span, day)
                    : p.label}
              </Box>
            )}
          </Box>
        ))}
      </Flex>
    </Box>
  );
}

/** What it was a year before, where that is known. */
const then = (p: PointView, amount: (n: number) => string) =>
  p.before === undefined ? '' : `, a year before ${amount(p.before)}`;

/** One column, of parts where it has some. */
function Column({ point: p, splits, most }: { point: PointView; splits: PartView[] | undefined; most: number }) {
  const tall = (n: number) => `${Math.max(1, (n / most) * (ground - 4))}px`;
  if (!splits?.length || p.chosen)
    return <Box w="full" h={tall(p.n)} bg={shadeOf(p.chosen ? 3 : 1)} _groupHover={{ bg: shadeOf(2) }} />;
  return (
    <Box w="full">
      {splits
        .map(({ value: s }, i) => p.parts?.[s] && <Box key={s} w="full" h={tall(p.parts[s])} bg={shadeOf(i)} />)
        .reverse()}
    </Box>
  );
}

/** The line from point to point, over the ground that the columns have. */
function Line({ chart, most, filled }: { chart: PointsProps['chart']; most: number; filled: boolean }) {
  const last = chart.points.length;
  const points = chart.points.map((p, i) => `${i + 0.5},${100 - (p.n / most) * 98}`);
  return (
    <Box position="absolute" left="0" right="0" top="18px" h={`${ground}px`} pointerEvents="none" color={shadeOf(3)}>
      <svg viewBox={`0 0 ${last} 100`} preserveAspectRatio="none" width="100%" height="100%" aria-hidden>
        {filled && (
          <polygon points={`0.5,100 ${points.join(' ')} ${last - 0.5},100`} fill="currentColor" opacity="0.25" />
        )}
        <polyline
          points={points.join(' ')}
          fill="none"
          stroke="currentColor"
          strokeWidth="2"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
    </Box>
  );
}

function shortly(
  first: string,
  span: string | undefined,
  written: (at: Date, how: Intl.DateTimeFormatOptions) => string,
) {
  if (span === 'year') return first.slice(0, 4);
  if (span === 'quarter') return `${Math.ceil(Number(first.slice(5, 7)) / 3)}/${first.slice(2, 4)}`;
  const long: Intl.DateTimeFormatOptions =
    span === 'month' ? { month: 'short', year: '2-digit' } : { day: 'numeric', month: 'short' };
  return written(new Date(`${first}T00:00:00Z`), { ...long, timeZone: 'UTC' });
}
