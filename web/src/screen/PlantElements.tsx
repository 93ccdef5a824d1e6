import { Box, Flex } from '@chakra-ui/react';
import type { FigureView, GaugeView, LampView } from '../api/client';
import { plantTones } from './plantTones';

/** A live number as a bar with the band it should be in; a dash for a value that is not good. */
export function GaugeElement({ gauge, reason }: { gauge: GaugeView; reason?: string }) {
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
      color={plantTones.ink}
    >
      <Flex justify="space-between" align="baseline">
        <Box color={plantTones.soft}>{gauge.words}</Box>
        <Box fontSize="head" fontWeight="800" color={gauge.out ? plantTones.alarm : plantTones.ink}>
          {gauge.out && '▲ '}
          {known ? gauge.shown : '–'}
          <Box as="span" fontSize="note" fontWeight="500" color={plantTones.soft}>
            {' '}
            {gauge.unit}
          </Box>
        </Box>
      </Flex>
      <Box position="relative" h="14px" bg={plantTones.trough} mt="2px">
        {gauge.high > gauge.low && (
          <Box
            position="absolute"
            top="-3px"
            bottom="-3px"
            left={at(gauge.low)}
            w={`calc(${at(gauge.high)} - ${at(gauge.low)})`}
            bg={plantTones.band}
            opacity={0.75}
          />
        )}
        {known && (
          <Box
            position="absolute"
            inset="0"
            right="auto"
            w={at(gauge.value ?? 0)}
            bg={gauge.out ? plantTones.alarm : plantTones.bar}
          />
        )}
        {known && gauge.set !== undefined && (
          <Box position="absolute" top="-5px" bottom="-5px" left={at(gauge.set)} w="3px" bg={plantTones.set} />
        )}
      </Box>
      {!known && (
        <Box fontSize="note" color={plantTones.soft} mt="2px">
          not available: {reason ?? 'no value'}
        </Box>
      )}
      {known && gauge.set !== undefined && (
        <Box fontSize="note" color={plantTones.set} textAlign="right" mt="3px">
          set {gauge.set} {gauge.unit}
        </Box>
      )}
    </Box>
  );
}

/** A live yes or no: a filled or empty square and its words; a cross-out when it is not known. */
export function LampElement({ lamp, reason }: { lamp: LampView; reason?: string }) {
  const unknown = lamp.state === 'unknown';
  return (
    <Flex align="center" gap="10px" minH="26px" color={plantTones.ink} title={unknown ? reason : undefined}>
      <Box
        w="16px"
        h="16px"
        flexShrink={0}
        borderWidth="2px"
        borderColor={lamp.abnormal ? plantTones.alarm : plantTones.soft}
        borderStyle={unknown ? 'dashed' : 'solid'}
        bg={lamp.state === 'on' ? (lamp.abnormal ? plantTones.alarm : plantTones.soft) : 'transparent'}
        aria-hidden
      />
      <Box flex="1" color={plantTones.soft}>
        {lamp.words}
      </Box>
      <Box fontWeight="700" color={lamp.abnormal ? plantTones.alarm : plantTones.ink}>
        {lamp.abnormal && '▲ '}
        {lamp.shown}
      </Box>
    </Flex>
  );
}

/** A picture with live words at places on it. */
export function FigureElement({ figure }: { figure: FigureView }) {
  return (
    <Flex align="center" justify="center" h="full" minH={0}>
      <Box position="relative" w="full" maxW="640px">
        <Box asChild w="full" display="block">
          <img src={`/api/pictures/${figure.picture}`} alt={figure.words ?? ''} />
        </Box>
        {figure.marks.map((m) => (
          <Box
            key={`${m.x}.${m.y}`}
            position="absolute"
            left={`${m.x}%`}
            top={`${m.y}%`}
            px="6px"
            py="1px"
            fontSize="text"
            fontWeight="800"
            whiteSpace="nowrap"
            bg={plantTones.panel}
            borderRadius="3px"
            color={m.abnormal ? plantTones.alarm : plantTones.ink}
          >
            {m.abnormal && '▲ '}
            {m.words}
          </Box>
        ))}
      </Box>
    </Flex>
  );
}
