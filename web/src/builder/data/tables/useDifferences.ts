import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, type SourceRead } from '../../../api/client';

const minute = 60_000; // ms

const read = (project: string) => ask(api.GET('/api/build/{project}/structure', { params: { path: { project } } }));

/** How much is gone from the databases, or is otherwise now; what is only not taken in does not count. */
const counted = (sources: SourceRead[]) => sources.flatMap((s) => s.differences).filter((d) => d.kind !== 'new').length;

const countKey = (project: string) => ['differences', project];

/** The databases as they are now, against the application as it was left by an edit. */
export function useStructure(project: string, seq: number) {
  const client = useQueryClient();
  return useQuery({
    queryKey: ['structure', project, seq],
    queryFn: async () => {
      const sources = await read(project);
      client.setQueryData(countKey(project), counted(sources));
      return sources;
    },
    placeholderData: (old) => old,
    staleTime: 0,
  });
}

/** How much differs, read now and then: reading a large database takes a while, and not each edit is worth it. */
export function useDifferences(project: string): number {
  const found = useQuery({
    queryKey: countKey(project),
    queryFn: async () => counted(await read(project)),
    staleTime: 10 * minute,
    retry: false,
  });
  return found.data ?? 0;
}
