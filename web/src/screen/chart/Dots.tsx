import { Box } from '@chakra-ui/react';
import { useLanguage } from '../context';
import { PointWords } from './PointWords';
import { choosing, faded, type PointsProps, shadeOf } from './points';
import { placed, ticks } from './scale';

const ground = 260; // px of height
const small = 14; // px across, the smallest dot
const large = 46;

/** Dots: how far right and how high by two measures, how large by a third. Each is a button: it can be chosen. */
export function Dots({ chart, onChoose, onMore }: PointsProps) {
  const { amount } = useLanguage();
  const points = chart.points.filter((p) => p.more?.length && p.value !== '~rest');
  const across = ticks(points.map((p) => p.n));
  const up = ticks(points.map((p) => p.more?.[0] ?? 0));
  const most = Math.max(1e-9, ...points.map((p) => Math.abs(p.more?.[1] ?? 0)));
  const size = (n: number | undefined) =>
    n === undefined ? 18 : small + (large - small) * Math.sqrt(Math.abs(n) / most);
  return (
    <Box>
      <Box color="muted" fontSize="note" mb="14px">
        {chart.against} ↑{chart.size && `, the larger: ${chart.size}`}
      </Box>
      <Box
        position="relative"
        h={`${ground}px`}
        ml="56px"
        mr="24px"
        borderLeftWidth="1px"
        borderBottomWidth="1px"
        borderColor="rule"
      >
        {up.map((n) => (
          <Box
            key={n}
            position="absolute"
            left="0"
            right="0"
            bottom={`${placed(n, up)}%`}
            borderTopWidth="1px"
            borderColor="rule"
          >
            <Box
              position="absolute"
              right="100%"
              top="-10px"
              pr="8px"
              color="muted"
              fontSize="note"
              whiteSpace="nowrap"
            >
              {amount(n)}
            </Box>
          </Box>
        ))}
        {across.map((n) => (
          <Box
            key={n}
            position="absolute"
            left={`${placed(n, across)}%`}
            top="100%"
            pt="4px"
            transform="translateX(-50%)"
            color="muted"
            fontSize="note"
          >
            {amount(n)}
          </Box>
        ))}
        {points.map((p) => {
          const [high, big] = p.more ?? [];
          const d = size(big);
          const words = `${p.label}: ${chart.shows} ${amount(p.n)}, ${chart.against} ${amount(high ?? 0)}${big === undefined ? '' : `, ${chart.size} ${amount(big)}`}`;
          return (
            <Box
              as="button"
              key={p.value}
              className="group"
              position="absolute"
              left={`${placed(p.n, across)}%`}
              bottom={`${placed(high ?? 0, up)}%`}
              transform="translate(-50%, 50%)"
              boxSize={`${Math.max(24, d)}px`}
              display="grid"
              placeItems="center"
              cursor={chart.chooses ? 'pointer' : 'default'}
              aria-label={words}
              aria-pressed={chart.again ? (p.chosen ?? false) : undefined}
              opacity={faded(chart, p)}
              _hover={{ zIndex: 1 }}
              _focusVisible={{ zIndex: 1 }}
              onClick={(e: React.MouseEvent) => onChoose(...choosing(chart, p, e))}
              onContextMenu={(e: React.MouseEvent) => {
                if (!p.menu) return;
                e.preventDefault();
                onMore(p, e.currentTarget.getBoundingClientRect());
              }}
            >
              <Box
                boxSize={`${d}px`}
                borderRadius="50%"
                bg={shadeOf(p.chosen ? 3 : 1)}
                borderWidth="1.5px"
                borderColor={shadeOf(3)}
                opacity="0.85"
                _groupHover={{ bg: shadeOf(2) }}
              />
              <PointWords>{words}</PointWords>
            </Box>
          );
        })}
      </Box>
      <Box color="muted" fontSize="note" textAlign="right" pt="26px" pr="24px">
        {chart.shows} →
      </Box>
    </Box>
  );
}
