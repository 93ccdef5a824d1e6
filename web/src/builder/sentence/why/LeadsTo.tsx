import { Box, Flex } from '@chakra-ui/react';
import type { Explanation } from '../../../api/client';
import { Plate } from '../../../ui/Plate';
import { Head } from './Head';
import { JudgedLine } from './JudgedLine';

/** Where a way leads, or would, and what it brings there. */
export function LeadsTo({ of }: { of: Explanation }) {
  const to = of.leads;
  if (!to) return null;
  return (
    <Box mb="10px">
      <Head>{of.state === 'open' ? 'Leads to' : 'Would lead to'}</Head>
      <Box maxW="330px" mb="4px">
        <Plate
          title={to.title}
          note={[to.mode, to.as && to.as !== 'full' ? to.as : ''].filter(Boolean).join(', ')}
          tone={to.opens ? 'plain' : 'broken'}
        />
      </Box>
      {to.inputs.map((i) => (
        <Flex key={i.label} gap="8px">
          <Box color="muted">{i.label.toLowerCase()}</Box>
          <Box color="plum" fontWeight="700">
            {i.words}
          </Box>
          <Box color="muted">{i.from}</Box>
        </Flex>
      ))}
      {to.judged
        .filter((j) => j.state !== 'passes' || j.part)
        .map((j) => (
          <JudgedLine key={j.what + j.words} judged={j} />
        ))}
    </Box>
  );
}
