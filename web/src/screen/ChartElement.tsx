import { Box, Flex, Heading } from '@chakra-ui/react';
import { Bar, BarChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { ChartView, ElementView } from '../api/client';
import { useScreen } from './context';

/** Darker for the higher rank: one hue, so that order is seen and not only colour. */
const shades = ['#D9CDB8', '#B79A6A', '#6E5223', '#4A3513'];

/** A chart of bars; choosing one goes through its gate. Each bar's label is a button as well. */
export default function ChartElement({ element, chart }: { element: ElementView; chart: ChartView }) {
  const { onPress } = useScreen();
  const parts = chart.splits?.length ? chart.splits : ['n'];
  const rows = chart.points.map((p) => ({ ...p, ...(chart.splits?.length ? p.parts : { n: p.n }) }));
  const choose = (value: string | undefined) =>
    value !== undefined && chart.chooses && onPress(element, { point: value });
  if (chart.refused) return <Box color="muted">{chart.refused}</Box>;
  return (
    <Box>
      <Flex justify="space-between" align="baseline" mb="6px" wrap="wrap" gap="10px">
        <Heading as="h2" fontSize="text" fontWeight="800">
          {chart.label}
        </Heading>
        {chart.splits && <Legend splits={chart.splits} />}
      </Flex>
      {rows.length === 0 && <Box color="muted">There is nothing to count yet.</Box>}
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
              tickLine={false}
              axisLine={false}
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
                onClick={(d: { payload?: { value?: string } }) => choose(d.payload?.value)}
              />
            ))}
          </BarChart>
        </ResponsiveContainer>
        <Box position="absolute" left="0" top="0" w="196px">
          {rows.map((p) => (
            <Box
              as="button"
              key={p.value}
              display="block"
              w="full"
              h="40px"
              textAlign="right"
              fontWeight="600"
              truncate
              cursor={chart.chooses ? 'pointer' : 'default'}
              _hover={{ color: 'pine' }}
              aria-label={`${p.label}, ${p.n}`}
              onClick={() => choose(p.value)}
            >
              {p.label}{' '}
              <Box as="span" color="muted" fontWeight="400">
                {p.n}
              </Box>
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
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
