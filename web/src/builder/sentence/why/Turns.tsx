import { Box, Flex } from '@chakra-ui/react';
import type { Explanation } from '../../../api/client';
import { Head } from './Head';

/** The fewest parts that would have to change for the way to be open. */
export function Turns({ of }: { of: Explanation }) {
  if (of.state === 'open') return null;
  return (
    <Box mt="8px">
      <Head>It would open if</Head>
      {(of.turns ?? []).map((t) => (
        <Flex key={t.words} gap="8px" align="baseline">
          <Box color="amberText" fontWeight="800" w="16px" aria-hidden="true">
            →
          </Box>
          <Box fontWeight="700">{t.words}</Box>
          {t.value && <Box color="plum">now {t.value}</Box>}
        </Flex>
      ))}
      {(of.turns ?? []).length === 0 && <Box>{of.reason ?? 'Nothing here would.'}</Box>}
    </Box>
  );
}
