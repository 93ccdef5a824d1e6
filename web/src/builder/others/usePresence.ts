import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api } from '../../api/client';
import { hereKey, others, type Present, tab } from './presence';

/** Says where in the builder this tab is, and gives where the others are. */
export function usePresence(project: string, view: string, screen: string, element: string | undefined): Present[] {
  const here = useQuery<Present[]>({ queryKey: hereKey(project), queryFn: () => [], enabled: false, initialData: [] });
  const listens = useQuery<object>({ queryKey: ['listens', project], queryFn: () => ({}), enabled: false });
  const at = listens.dataUpdatedAt;
  useEffect(() => {
    if (at === 0) return; // nobody listens yet
    const timer = setTimeout(() => {
      // Nobody waits for it: where one is next is said next.
      void api
        .POST('/api/build/{project}/presence', {
          params: { path: { project } },
          body: { tab, view, screen: screen || undefined, element },
        })
        .catch(() => undefined);
    }, 250);
    return () => clearTimeout(timer);
  }, [project, view, screen, element, at]);
  return others(here.data);
}
