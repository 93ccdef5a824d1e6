import { Box } from '@chakra-ui/react';
import { later } from '../../ui/later';
import type { ElementKind } from './kind';

/** Live numbers over the last minutes; what draws them is fetched with the first one. */
export const trend: ElementKind<'trend'> = {
  Draw: later(async () => (await import('../chart/Trend')).Trend, <Box minH="260px" />),
  grows: true,
};
