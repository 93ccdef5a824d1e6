import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';

interface RecordsAsked {
  project: string;
  as: string; // whom one walks as
  table: string;
  find?: string;
  key?: string; // just this record
  enabled?: boolean;
}

/** Records by title, as the walked user may see them. */
export function useRecords({ project, as, table, find, key, enabled = true }: RecordsAsked) {
  return useQuery({
    queryKey: ['records', project, table, as, find, key],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/records/{table}', {
          params: { path: { project, table }, query: { as, q: find, key } },
        }),
      ),
    enabled,
  });
}
