import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../../api/client';
import { entitiesOf, entityOf } from '../../../document/parts';
import { usesOf } from '../../../document/variables';
import { useRights } from '../context';
import { readEvery } from './readEvery';
import { TagLine } from './TagLine';

/** The values of the plant as a whole, which belong to no record, as they are now. */
export function SingleValues() {
  const { project, entities } = useRights();
  const tags = entitiesOf(entities, 'tag').sort((a, b) => a.pos - b.pos);
  const now = useQuery({
    queryKey: ['tags', project, tags.map((t) => t.id).join()],
    queryFn: () => ask(api.GET('/api/build/{project}/tags', { params: { path: { project } } })),
    enabled: tags.length > 0,
    refetchInterval: readEvery,
    placeholderData: (old) => old,
    retry: false,
  });
  if (tags.length === 0) return null;
  return (
    <Box as="section" aria-label="Single values" mb="26px">
      <Box as="h2" fontWeight="800" mb="6px">
        Single values
      </Box>
      <Box color="muted" fontSize="note" mb="4px">
        They belong to no record: conditions on every screen can ask for them.
      </Box>
      {[...new Set(tags.map((t) => t.source))].map((source) => (
        <Box key={source} mb="10px">
          <Box color="muted" fontSize="note">
            in {entityOf(entities, source, 'source')?.name ?? 'a plant that is gone'}
          </Box>
          <Box as="table" w="full" fontSize="note" css={{ borderCollapse: 'collapse', tableLayout: 'fixed' }}>
            <tbody>
              {tags
                .filter((t) => t.source === source)
                .map((t) => (
                  <TagLine
                    key={t.id}
                    tag={t}
                    now={now.data?.find((n) => n.tag === t.id)}
                    path={`/${t.id}`}
                    inUse={usesOf(entities, t.id).length > 0}
                  />
                ))}
            </tbody>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
