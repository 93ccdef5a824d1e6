import { Box, Flex } from '@chakra-ui/react';
import { memo, useEffect, useState } from 'react';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Samples, TrendView } from '../../api/client';
import { colour } from '../../ui/theme/colours';
import { useLanguage, useScreen } from '../context';
import type { OfKind } from '../kinds/kind';

const usualRows = 4;
const row = 44; // px

const strokes = ['plant.ink', 'plant.alarm', 'plant.set', 'plant.soft'].map(colour);
const dashes = [undefined, '7 4', '2 3', '10 3 2 3'];

/** Live numbers over the last minutes: what the server kept, and what comes in. */
export function Trend({ element }: { element: OfKind<'trend'> }) {
  const { trend } = element;
  const samples = useSamples(element.id, trend);
  const { fixed } = useLanguage();
  const { view } = useScreen();
  // An operator screen gives it the room that is left; any other is as tall as what stands on it.
  const own = view.type === 'operator' ? undefined : `${Math.max(2, element.cell.h ?? usualRows) * row}px`;
  return (
    <Flex direction="column" h="full" minH={0} color="plant.ink">
      <Flex justify="space-between" fontSize="note" wrap="wrap" gap="12px">
        <Box fontWeight="700">{trend.words}</Box>
        <Flex gap="18px">
          {trend.lines.map((l, i) => (
            <Flex key={l.id} align="center" gap="6px">
              <svg width="26" height="6" aria-hidden="true">
                <line x1="0" y1="3" x2="26" y2="3" stroke={strokes[i]} strokeWidth="2" strokeDasharray={dashes[i]} />
              </svg>
              {l.words} <b>{l.value === undefined ? '–' : fixed(l.value, 1)}</b> {l.unit}
              {l.limit !== undefined && `, limit ${l.limit}`}
            </Flex>
          ))}
        </Flex>
      </Flex>
      <Box flex={own ? '0 0 auto' : '1'} minH="90px" h={own}>
        <Lines trend={trend} samples={samples} />
      </Box>
    </Flex>
  );
}

interface LinesProps {
  trend: TrendView;
  samples: Samples;
}

/** The lines as they are drawn: anew with each sample, not with each value that comes between two. */
const Lines = memo(
  function Lines({ trend, samples }: LinesProps) {
    const { clock } = useLanguage();
    const now = Date.now();
    const from = now - trend.minutes * 60_000;
    const ticks = [from, from + (now - from) / 2, now];
    return (
      <ResponsiveContainer width="100%" height="100%">
        <LineChart margin={{ left: 4, right: 12, top: 8, bottom: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke={colour('plant.edge')} vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            domain={[from, now]}
            ticks={ticks}
            allowDataOverflow
            tickFormatter={clock}
            tick={{ fontSize: 13, fill: colour('plant.soft') }}
            tickLine={false}
            axisLine={false}
          />
          {trend.lines.map((l) => (
            <YAxis key={l.id} yAxisId={l.id} domain={[0, l.max]} hide />
          ))}
          {trend.lines.map((l, i) => (
            <Line
              key={l.id}
              yAxisId={l.id}
              data={samples[l.id] ?? []}
              dataKey="value"
              stroke={strokes[i]}
              strokeDasharray={dashes[i]}
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
          ))}
          {trend.lines.map(
            (l, i) =>
              l.limit !== undefined && (
                <ReferenceLine key={l.id} yAxisId={l.id} y={l.limit} stroke={strokes[i]} strokeDasharray="1 4" />
              ),
          )}
        </LineChart>
      </ResponsiveContainer>
    );
  },
  (a, b) => a.samples === b.samples && shapeOf(a.trend) === shapeOf(b.trend),
);

/** What of a trend is drawn besides its samples. */
const shapeOf = (t: TrendView) => JSON.stringify([t.minutes, t.lines.map((l) => [l.id, l.max, l.limit])]);

/** The server's samples, then one of each second as live values come. */
function useSamples(element: string, trend: TrendView): Samples {
  const { trend: fetchTrend } = useScreen();
  const [samples, setSamples] = useState<Samples>({});
  // biome-ignore lint/correctness/useExhaustiveDependencies: fetched once for an element, then fed by its live values
  useEffect(() => {
    let gone = false;
    fetchTrend(element).then(
      (s) => !gone && setSamples(s),
      () => undefined, // the trend begins with what comes in
    );
    return () => {
      gone = true;
    };
  }, [element]);
  useEffect(() => {
    const at = Date.now();
    setSamples((before) => {
      const lines = trend.lines.map((l) => ({ ...l, was: before[l.id] ?? [] }));
      const newest = Math.max(0, ...lines.map((l) => l.was.at(-1)?.at ?? 0));
      if (at - newest < 1000) return before;
      const after: Samples = { ...before };
      for (const { id, value, was } of lines) if (value !== undefined) after[id] = [...was.slice(-3600), { at, value }];
      return after;
    });
  }, [trend]);
  return samples;
}
