import { Box, Flex } from '@chakra-ui/react';
import { useLanguage } from '../context';
import { choosing, faded, type PointsProps, shadeOf } from './points';

const kinds = 4; // shades

/** What comes after all shades were used is paler. */
const paler = (i: number) => (i < kinds ? 1 : 0.45);

/** One bar, of which each point has its share; told below, each a button. */
export function Share({ chart, onChoose, onMore }: PointsProps) {
  const { amount } = useLanguage();
  const all = chart.points.reduce((sum, p) => sum + Math.max(0, p.n), 0) || 1;
  const share = (n: number) => (Math.max(0, n) / all) * 100;
  return (
    <Box>
      <Flex h="34px" gap="1px" aria-hidden>
        {chart.points.map((p, i) => (
          <Box
            key={p.value}
            w={`${share(p.n)}%`}
            minW="2px"
            bg={shadeOf(i % kinds)}
            opacity={faded(chart, p) * paler(i)}
          />
        ))}
      </Flex>
      <Flex wrap="wrap" gap="4px 18px" mt="8px">
        {chart.points.map((p, i) => (
          <Flex
            as="button"
            key={p.value}
            align="center"
            gap="7px"
            minH="28px"
            opacity={faded(chart, p)}
            cursor={chart.chooses ? 'pointer' : 'default'}
            aria-pressed={chart.again ? (p.chosen ?? false) : undefined}
            onClick={(e: React.MouseEvent) => onChoose(...choosing(chart, p, e))}
            onContextMenu={(e: React.MouseEvent) => {
              if (!p.menu) return;
              e.preventDefault();
              onMore(p, e.currentTarget.getBoundingClientRect());
            }}
          >
            <Box boxSize="12px" bg={shadeOf(i % kinds)} opacity={paler(i)} aria-hidden />
            <b>{p.label}</b> {amount(p.n)}
            <Box as="span" color="muted">
              {Math.round(share(p.n))} %
            </Box>
          </Flex>
        ))}
      </Flex>
    </Box>
  );
}
