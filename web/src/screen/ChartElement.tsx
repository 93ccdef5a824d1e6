import { Box, Flex, Heading } from '@chakra-ui/react';
import { Bar, BarChart, Cell, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { ChartView, ElementView, PointView } from '../api/client';
import { Action } from '../ui/controls';
import { useScreen } from './context';
import { useEntryMenu } from './useEntryMenu';

/** Darker for the higher rank: one hue, so that order is seen and not only colour. */
const shades = ['#D9CDB8', '#B79A6A', '#6E5223', '#4A3513'];

/** A chart: bars, or columns along time. Choosing a point goes through its gate; where the screen is
 * narrowed by its points, choosing the chosen one again shows all. */
export default function ChartElement({ element, chart }: { element: ElementView; chart: ChartView }) {
  const { onPress } = useScreen();
  const menu = useEntryMenu(element);
  const choose = (value: string) => {
    if (chart.chooses) void onPress(element, { point: value });
  };
  const more = (p: PointView, at: DOMRect) =>
    menu.open({ label: `What can be done with ${p.label}`, entries: p.menu ?? [], at, aim: { point: p.value } });
  const chosen = chart.points.find((p) => p.chosen);
  if (chart.refused) return <Box color="muted">{chart.refused}</Box>;
  return (
    <Box>
      <Flex justify="space-between" align="baseline" mb="6px" wrap="wrap" gap="10px">
        <Heading as="h2" fontSize="text" fontWeight="800">
          {chart.label}
        </Heading>
        {chosen && (
          <Flex gap="8px" fontSize="note" align="baseline">
            only {chosen.label}
            <Action minH="24px" onClick={() => choose(chosen.value)}>
              show all
            </Action>
          </Flex>
        )}
        {chart.splits && <Legend splits={chart.splits} />}
      </Flex>
      {chart.points.length === 0 && <Box color="muted">There is nothing to count here.</Box>}
      {chart.span ? (
        <Columns chart={chart} onChoose={choose} onMore={more} />
      ) : (
        <Bars chart={chart} onChoose={choose} onMore={more} />
      )}
      {menu.menu}
    </Box>
  );
}

interface PointsProps {
  chart: ChartView;
  onChoose: (value: string) => void;
  onMore: (point: PointView, at: DOMRect) => void;
}

/** How a point stands back while another is chosen. */
const faded = (chart: ChartView, p: PointView) => (chart.points.some((x) => x.chosen) && !p.chosen ? 0.6 : 1);

/** A number of a point, short: 1,240 or 12.5. */
function amount(n: number) {
  return n.toLocaleString('en', { maximumFractionDigits: n < 100 ? 1 : 0 });
}

/** Lying bars, largest first. Each bar's label is a button as well. */
function Bars({ chart, onChoose, onMore }: PointsProps) {
  const parts = chart.splits?.length ? chart.splits : ['n'];
  const rows = chart.points.map((p) => ({ ...p, ...(chart.splits?.length ? p.parts : { n: p.n }) }));
  return (
    <Box position="relative" h={`${rows.length * 40 + 34}px`}>
      <ResponsiveContainer width="100%" height="100%">
        <BarChart
          data={rows}
          layout="vertical"
          margin={{ left: 200, right: 44, top: 0, bottom: 4 }}
          barSize={24}
          accessibilityLayer={false}
        >
          <XAxis
            type="number"
            allowDecimals={chart.measure !== 'count'}
            tickLine={false}
            axisLine={false}
            tickFormatter={amount}
            tick={{ fill: 'var(--chakra-colors-muted)', fontSize: 13 }}
          />
          <YAxis type="category" dataKey="value" hide />
          <Tooltip cursor={{ fill: 'var(--chakra-colors-faint)' }} content={<Bubble />} />
          {parts.map((s, i) => (
            <Bar
              key={s}
              dataKey={s}
              name={s}
              stackId="a"
              fill={shades[i] ?? shades[3]}
              isAnimationActive={false}
              cursor={chart.chooses ? 'pointer' : undefined}
              onClick={(d: { payload?: { value?: string } }) => d.payload?.value && onChoose(d.payload.value)}
            >
              {rows.map((p) => (
                <Cell key={p.value} opacity={faded(chart, p)} />
              ))}
            </Bar>
          ))}
        </BarChart>
      </ResponsiveContainer>
      <Box position="absolute" left="0" top="0" w="196px">
        {rows.map((p) => (
          <Flex key={p.value} h="40px" align="center" justify="flex-end" gap="4px" opacity={faded(chart, p)}>
            {p.menu && <PointMore point={p} onMore={onMore} />}
            <Box
              as="button"
              minW={0}
              h="40px"
              textAlign="right"
              fontWeight="600"
              truncate
              cursor={chart.chooses ? 'pointer' : 'default'}
              _hover={{ color: 'pine' }}
              aria-label={`${p.label}, ${amount(p.n)}`}
              aria-pressed={chart.again ? (p.chosen ?? false) : undefined}
              onClick={() => onChoose(p.value)}
              onContextMenu={(e: React.MouseEvent) => {
                if (!p.menu) return;
                e.preventDefault();
                onMore(p, e.currentTarget.getBoundingClientRect());
              }}
            >
              {p.label}{' '}
              <Box as="span" color="muted" fontWeight="400">
                {amount(p.n)}
              </Box>
            </Box>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

function PointMore({ point, onMore }: { point: PointView; onMore: PointsProps['onMore'] }) {
  return (
    <button
      type="button"
      className="row-more"
      aria-haspopup="menu"
      aria-label={`More for ${point.label}`}
      onClick={(e) => onMore(point, e.currentTarget.getBoundingClientRect())}
    >
      ⋯
    </button>
  );
}

const ground = 190; // px of height for the highest column

/** Columns along time. Each is a button: the day, week or month that it stands for. */
function Columns({ chart, onChoose, onMore }: PointsProps) {
  const most = Math.max(1e-9, ...chart.points.map((p) => p.n));
  const step = Math.ceil(chart.points.length / 8);
  return (
    <Box position="relative" pt="18px">
      <Box position="absolute" top="0" left="0" fontSize="note" color="muted">
        {amount(most)} {chart.unit}
      </Box>
      <Flex
        align="flex-end"
        gap="2px"
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
            aria-label={`${p.label}: ${amount(p.n)} ${chart.unit ?? ''}`.trim()}
            aria-pressed={chart.again ? (p.chosen ?? false) : undefined}
            _hover={{ bg: 'faint' }}
            onClick={() => onChoose(p.value)}
            onContextMenu={(e: React.MouseEvent) => {
              if (!p.menu) return;
              e.preventDefault();
              onMore(p, e.currentTarget.getBoundingClientRect());
            }}
          >
            <Box
              w="full"
              h={`${Math.max(1, (p.n / most) * (ground - 4))}px`}
              bg={p.chosen ? shades[3] : shades[1]}
              _groupHover={{ bg: shades[2] }}
            />
            <Box
              position="absolute"
              bottom="100%"
              left="50%"
              transform="translateX(-50%)"
              visibility="hidden"
              _groupHover={{ visibility: 'visible' }}
              _groupFocusVisible={{ visibility: 'visible' }}
              bg="rail"
              color="white"
              px="10px"
              py="5px"
              borderRadius="4px"
              fontSize="note"
              whiteSpace="nowrap"
              zIndex="tooltip"
              pointerEvents="none"
            >
              <b>{p.label}</b>: {amount(p.n)} {chart.unit}
            </Box>
          </Flex>
        ))}
      </Flex>
      <Flex gap="2px" h="22px" fontSize="note" color="muted" pt="3px">
        {chart.points.map((p, i) => (
          <Box key={p.value} flex="1" minW="4px" position="relative">
            {i % step === 0 && (
              <Box position="absolute" left="0" whiteSpace="nowrap">
                {shortly(p.value, chart.span)}
              </Box>
            )}
          </Box>
        ))}
      </Flex>
    </Box>
  );
}

function shortly(day: string, span: string | undefined) {
  const long: Intl.DateTimeFormatOptions =
    span === 'month' ? { month: 'short', year: '2-digit' } : { day: 'numeric', month: 'short' };
  return new Date(`${day}T00:00:00Z`).toLocaleDateString('en-GB', { ...long, timeZone: 'UTC' });
}

function Legend({ splits }: { splits: string[] }) {
  return (
    <Flex gap="14px" fontSize="note" color="muted">
      {splits.map((s, i) => (
        <Flex key={s} align="center" gap="6px">
          <Box w="12px" h="12px" bg={shades[i] ?? shades[3]} aria-hidden />
          {s}
        </Flex>
      ))}
    </Flex>
  );
}

interface BubbleProps {
  active?: boolean;
  payload?: { name?: string; value?: number; payload?: { label?: string } }[];
}

function Bubble({ active, payload }: BubbleProps) {
  if (!active || !payload?.length) return null;
  return (
    <Box bg="rail" color="white" px="10px" py="6px" borderRadius="4px" fontSize="note">
      <b>{payload[0]?.payload?.label}</b>
      {payload.map((p) => (
        <div key={p.name}>
          {p.name}: {p.value}
        </div>
      ))}
    </Box>
  );
}
