import { Box } from '@chakra-ui/react';
import { later } from '../../ui/later';
import type { ElementKind } from './kind';

/** A chart; what draws it is fetched with the first one. */
export const chart: ElementKind<'chart'> = {
  Draw: later(async () => (await import('../chart/Chart')).Chart, <Box minH="260px" />),
};
