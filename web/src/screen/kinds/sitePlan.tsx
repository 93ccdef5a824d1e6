import { Box } from '@chakra-ui/react';
import { later } from '../../ui/later';
import type { ElementKind } from './kind';

/** A site plan; what draws it is fetched with the first one. */
export const sitePlan: ElementKind<'sitePlan'> = {
  Draw: later(async () => (await import('../site/SitePlan')).SitePlan, <Box minH="260px" />),
  words: (e) => e.sitePlan.label || 'site plan',
};
