import { Box, Flex } from '@chakra-ui/react';
import { useLayoutEffect, useRef, useState } from 'react';
import { Bar, BarChart, Cell, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { PointView } from '../../api/client';
import { colour } from '../../ui/theme/colours';
import { useLanguage } from '../context';
import { choosing, faded, type PointsProps, shadeOf } from './points';

/** Lying bars, largest first. Each bar's label is a button as well. */
export function Bars({ chart, onChoose, onMore }: PointsProps) {
  const { amount } = useLanguage();
  const [wide, setWide] = useState(0); // px
  const box = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => setWide(box.current?.clientWidth ?? 0), []);
  const words = wide > 0 && wide < 320 ? Math.round(wide * 0.42) : 200; // the bars keep some room where there is little
  const parts = chart.splits?.length ? chart.splits : [{ value: '', label: chart.shows ?? '' }];
  const divided = parts === chart.splits;
  const rows = chart.points;
  return (
    <Box ref={box} position="relative" h={`${rows.length * 40 + 34}px`}>
      <ResponsiveContainer width="100%" height="100%" onResize={setWide}>
        <BarChart
          data={rows}
          layout="vertical"
          margin={{ left: words, right: 44, top: 0, bottom: 4 }}
          barSize={24}
          accessibilityLayer={false}
        >
          <XAxis
            type="number"
            allowDecimals={chart.measure !== 'count'}
            tickLine={false}
            axisLine={false}
            tickFormatter={amount}
            tick={{ fill: colour('muted'), fontSize: 13 }}
          />
          <YAxis type="category" dataKey="value" hide />
          <Tooltip cursor={{ fill: colour('faint') }} content={<Bubble />} />
          {parts.map((s, i) => (
            <Bar
              key={s.value}
              dataKey={(p: PointView) => (divided ? (p.parts?.[s.value] ?? 0) : p.n)}
              name={s.label}
              stackId="a"
              fill={colour(shadeOf(i))}
              isAnimationActive={false}
              cursor={chart.chooses ? 'pointer' : undefined}
              onClick={(d: { payload?: PointView }, _: number, e: React.MouseEvent) =>
                d.payload?.value && onChoose(...choosing(chart, d.payload, e))
              }
            >
              {rows.map((p) => (
                <Cell key={p.value} opacity={faded(chart, p)} />
              ))}
            </Bar>
          ))}
        </BarChart>
      </ResponsiveContainer>
      <Box position="absolute" left="0" top="0" w={`${words - 4}px`}>
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
              onClick={(e: React.MouseEvent) => onChoose(...choosing(chart, p, e))}
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
