import { useQuery } from '@tanstack/react-query';
import { api, ask, type CallUpListed } from '../../api/client';

/** Notes that whoever is here has seen what was called up. */
export const see = (project: string, occurrence: number) =>
  ask(api.POST('/api/use/{project}/callups/{occurrence}/seen', { params: { path: { project, occurrence } } }));

/** What was called up for whoever is here: what holds still first. */
export function useListed(project: string, wanted: boolean) {
  return useQuery<CallUpListed[]>({
    queryKey: ['callups', project],
    queryFn: () => ask(api.GET('/api/use/{project}/callups', { params: { path: { project } } })),
    enabled: wanted,
  });
}

/** What holds still and was not seen. */
export const unseen = (all: CallUpListed[] | undefined) => (all ?? []).filter((o) => !o.ended && !o.seen);
