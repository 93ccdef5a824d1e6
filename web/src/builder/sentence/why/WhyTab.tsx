import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { api, ask, Refused, type WayOut } from '../../../api/client';
import { useBuild } from '../../context';
import { Head } from './Head';
import { JudgedLine } from './JudgedLine';
import { LeadsTo } from './LeadsTo';
import { SeenBy } from './SeenBy';
import { Turns } from './Turns';

/**
 * Why a way is open, greyed, hidden or shut for the walked user on this record: all that was
 * judged, in order; where it leads; what would have to change; and who would see it.
 */
export function WhyTab({ way }: { way: WayOut }) {
  const { project, work, as, journal, draft } = useBuild();
  const place = work.view?.place ?? { screen: work.screen ?? '', mode: 'view', inputs: {} };
  const why = useQuery({
    queryKey: ['why', project, draft.seq, as, journal, place, way.element, way.trigger],
    queryFn: () =>
      ask(
        api.POST('/api/build/{project}/why', {
          params: { path: { project } },
          body: { as, journal, place, element: way.element, trigger: way.trigger },
        }),
      ),
  });
  if (why.isError) {
    return (
      <Box color="brick">{why.error instanceof Refused ? why.error.problem.what : 'It cannot be explained now.'}</Box>
    );
  }
  if (!why.data) return <Box color="muted">Working it out …</Box>;
  return (
    <Flex gap="30px" fontSize="note" align="flex-start">
      <Box flex="1.25" minW={0}>
        <Head>Judged for {work.user}, in this order</Head>
        {why.data.judged.map((j) => (
          <JudgedLine key={j.what + j.words} judged={j} />
        ))}
        <Turns of={why.data} />
      </Box>
      <Box flex="1" minW={0}>
        <LeadsTo of={why.data} />
        <Head>Each role alone</Head>
        <SeenBy of={why.data} />
        <Box color="muted" mt="8px">
          The screen can be entered by <b>{work.entered}</b>. Ways protect what they do; screens are protected by guards
          and grants.
        </Box>
      </Box>
    </Flex>
  );
}
