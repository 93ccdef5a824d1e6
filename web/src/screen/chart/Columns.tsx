import { Box, Flex } from '@chakra-ui/react';
import { useLanguage } from '../context';
import { faded, type PointsProps, shadeOf } from './points';

const ground = 190; // px of height for the highest column

/** Columns along time. Each is a button: the day, week or month that it stands for. */
export function Columns({ chart, onChoose, onMore }: PointsProps) {
  const { amount, day } = useLanguage();
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
              bg={shadeOf(p.chosen ? 3 : 1)}
              _groupHover={{ bg: shadeOf(2) }}
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
              <Box
                position="absolute"
                {...(i > chart.points.length - step ? { right: 0 } : { left: 0 })}
                whiteSpace="nowrap"
              >
                {shortly(p.value, chart.span, day)}
              </Box>
            )}
          </Box>
        ))}
      </Flex>
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
