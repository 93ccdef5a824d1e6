import { Box } from '@chakra-ui/react';
import { useLanguage } from '../context';
import { choosing, faded, type PointsProps, shapeOf } from './points';

/** The points of a chart as a table; as a grid, what is more is darker. */
export function PointTable({ chart, onChoose, onMore }: PointsProps) {
  const { amount } = useLanguage();
  const parts = chart.splits ?? [];
  const most = Math.max(1e-9, ...chart.points.flatMap((p) => parts.map((s) => p.parts?.[s.value] ?? 0)));
  const further = [chart.against, chart.size].filter((w) => w !== undefined);
  const compared = chart.points.some((p) => p.before !== undefined);
  const shaded = shapeOf(chart) === 'grid';
  return (
    <Box overflowX="auto">
      <Box
        as="table"
        w="full"
        fontVariantNumeric="tabular-nums"
        css={{ borderCollapse: 'collapse' }}
        aria-label={chart.label}
      >
        <Box as="thead" color="muted" fontSize="note" textAlign="left">
          <tr>
            <Box asChild fontWeight="600" pr="8px">
              <th scope="col">{chart.by}</th>
            </Box>
            {parts.map((s) => (
              <Box asChild key={s.value} fontWeight="600" px="5px" textAlign="right">
                <th scope="col">{s.label}</th>
              </Box>
            ))}
            <Box asChild fontWeight="600" pl="5px" textAlign="right">
              <th scope="col">{parts.length > 0 ? 'all' : further.length > 0 ? chart.shows : (chart.unit ?? '')}</th>
            </Box>
            {further.map((words) => (
              <Box asChild key={words} fontWeight="600" pl="12px" textAlign="right">
                <th scope="col">{words}</th>
              </Box>
            ))}
            {compared && (
              <Box asChild fontWeight="600" pl="5px" textAlign="right">
                <th scope="col">a year before</th>
              </Box>
            )}
          </tr>
        </Box>
        <tbody>
          {chart.points.map((p) => (
            <Box as="tr" key={p.value} borderTopWidth="1px" borderColor="rule" opacity={faded(chart, p)}>
              <Box asChild textAlign="left" fontWeight="600" pr="8px">
                <th scope="row">
                  <Box
                    as="button"
                    minH="32px"
                    textAlign="left"
                    cursor={chart.chooses ? 'pointer' : 'default'}
                    _hover={chart.chooses ? { color: 'pine' } : undefined}
                    aria-pressed={chart.again ? (p.chosen ?? false) : undefined}
                    onClick={(e: React.MouseEvent) => onChoose(...choosing(chart, p, e))}
                    onContextMenu={(e: React.MouseEvent) => {
                      if (!p.menu) return;
                      e.preventDefault();
                      onMore(p, e.currentTarget.getBoundingClientRect());
                    }}
                  >
                    {p.label}
                  </Box>
                </th>
              </Box>
              {parts.map((s) => {
                const n = p.parts?.[s.value] ?? 0;
                return (
                  <Box as="td" key={s.value} px="5px" textAlign="right" position="relative">
                    {shaded && n > 0 && (
                      <Box position="absolute" inset="1px" bg="amber" opacity={0.1 + (n / most) * 0.6} aria-hidden />
                    )}
                    <Box as="span" position="relative">
                      {n === 0 ? '' : amount(n)}
                    </Box>
                  </Box>
                );
              })}
              <Box as="td" pl="5px" textAlign="right" fontWeight="700">
                {amount(p.n)}
              </Box>
              {further.map((words, i) => (
                <Box as="td" key={words} pl="12px" textAlign="right">
                  {p.more?.[i] === undefined ? '' : amount(p.more[i])}
                </Box>
              ))}
              {compared && (
                <Box as="td" pl="5px" textAlign="right" color="muted">
                  {p.before === undefined ? '' : amount(p.before)}
                </Box>
              )}
            </Box>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
