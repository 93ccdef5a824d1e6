import { Box, Flex } from '@chakra-ui/react';
import type { ElementKind, OfKind } from './kind';

/** A live yes or no: a filled or empty square and its words; a cross-out when it is not known. */
export const lamp: ElementKind<'lamp'> = {
  Draw: Lamp,
  known: (e) => e.lamp.state !== 'unknown',
  stale: (e, reason) => ({
    ...e,
    reason,
    lamp: { ...e.lamp, state: 'unknown', shown: 'not available', abnormal: false },
  }),
};

function Lamp({ element }: { element: OfKind<'lamp'> }) {
  const { lamp, reason } = element;
  const unknown = lamp.state === 'unknown';
  return (
    <Flex align="center" gap="10px" minH="26px" color="plant.ink" title={unknown ? reason : undefined}>
      <Box
        w="16px"
        h="16px"
        flexShrink={0}
        borderWidth="2px"
        borderColor={lamp.abnormal ? 'plant.alarm' : 'plant.soft'}
        borderStyle={unknown ? 'dashed' : 'solid'}
        bg={lamp.state === 'on' ? (lamp.abnormal ? 'plant.alarm' : 'plant.soft') : 'transparent'}
        aria-hidden
      />
      <Box flex="1" color="plant.soft">
        {lamp.words}
      </Box>
      <Box fontWeight="700" color={lamp.abnormal ? 'plant.alarm' : 'plant.ink'}>
        {lamp.abnormal && '▲ '}
        {lamp.shown}
      </Box>
    </Flex>
  );
}
