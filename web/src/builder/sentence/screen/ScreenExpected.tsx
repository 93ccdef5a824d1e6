import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, ask } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { useBuild } from '../../context';

const marks: Record<string, [mark: string, color: string]> = {
  kept: ['✓', 'pine'],
  broken: ['✕', 'brick'],
  perhaps: ['?', 'amberText'],
};

/** What is expected of who gets to the screen, and whether it is so; more is said where reach is told. */
export function ScreenExpected() {
  const { project, draft, screen, work } = useBuild();
  const navigate = useNavigate();
  const path = useQuery({
    queryKey: ['reach-path', project, draft.seq, screen, work.who],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/reach/path', {
          params: { path: { project }, query: { screen, who: work.who } },
        }),
      ),
    enabled: work.who !== '',
    placeholderData: (old) => (old?.screen === screen ? old : undefined),
  });
  const go = () => navigate(`/build/${project}/reach/${screen}${work.who ? `~${work.who}` : ''}`);
  return (
    <Flex gap="4px 12px" align="baseline" wrap="wrap" fontSize="note" mt="2px">
      {path.data?.about.map((e) => (
        <Box key={e.id} title={e.why}>
          <Box as="span" color={marks[e.kept]?.[1]} fontWeight="800" aria-hidden="true">
            {marks[e.kept]?.[0]}
          </Box>{' '}
          expected: {e.words}
          {e.kept !== 'kept' && (
            <Box as="span" color={marks[e.kept]?.[1]} fontWeight="600">
              , {e.kept === 'broken' ? 'which does not hold' : 'which is not proven'}
            </Box>
          )}
        </Box>
      ))}
      <Action tone="quiet" minH="26px" onClick={go}>
        + expect something
      </Action>
    </Flex>
  );
}
