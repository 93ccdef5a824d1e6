import { Box, Flex } from '@chakra-ui/react';
import type { ElementKind, OfKind } from './kind';

/** A live number as a bar with the band it should be in; a dash for a value that is not good. */
export const gauge: ElementKind<'gauge'> = {
  Draw: Gauge,
  known: (e) => e.gauge.state !== 'unknown',
  stale: (e, reason) => ({
    ...e,
    reason,
    gauge: { ...e.gauge, state: 'unknown', value: undefined, set: undefined, shown: '–' },
  }),
};

function Gauge({ element }: { element: OfKind<'gauge'> }) {
  const { gauge, reason } = element;
  const at = (v: number) => `${Math.max(0, Math.min(100, ((v - gauge.min) / (gauge.max - gauge.min)) * 100))}%`;
  const known = gauge.state === 'known' && gauge.value !== undefined;
  return (
    <Box
      role="meter"
      aria-label={gauge.words}
      aria-valuenow={gauge.value}
      aria-valuemin={gauge.min}
      aria-valuemax={gauge.max}
      aria-valuetext={known ? `${gauge.shown} ${gauge.unit ?? ''}` : 'not available'}
      color="plant.ink"
    >
      <Flex justify="space-between" align="baseline">
        <Box color="plant.soft">{gauge.words}</Box>
        <Box fontSize="head" fontWeight="800" color={gauge.out ? 'plant.alarm' : 'plant.ink'}>
          {gauge.out && '▲ '}
          {known ? gauge.shown : '–'}
          <Box as="span" fontSize="note" fontWeight="500" color="plant.soft">
            {' '}
            {gauge.unit}
          </Box>
        </Box>
      </Flex>
      <Box position="relative" h="14px" bg="plant.trough" mt="2px">
        {gauge.high > gauge.low && (
          <Box
            position="absolute"
            top="-3px"
            bottom="-3px"
            left={at(gauge.low)}
            w={`calc(${at(gauge.high)} - ${at(gauge.low)})`}
            bg="plant.band"
            opacity={0.75}
          />
        )}
        {known && (
          <Box
            position="absolute"
            inset="0"
            right="auto"
            w={at(gauge.value ?? 0)}
            bg={gauge.out ? 'plant.alarm' : 'plant.bar'}
          />
        )}
        {known && gauge.set !== undefined && (
          <Box position="absolute" top="-5px" bottom="-5px" left={at(gauge.set)} w="3px" bg="plant.set" />
        )}
      </Box>
      {!known && (
        <Box fontSize="note" color="plant.soft" mt="2px">
          not available: {reason ?? 'no value'}
        </Box>
      )}
      {known && gauge.set !== undefined && (
        <Box fontSize="note" color="plant.set" textAlign="right" mt="3px">
          set {gauge.set} {gauge.unit}
        </Box>
      )}
    </Box>
  );
}
