import { useQuery } from '@tanstack/react-query';
import { api, ask, type ConditionRead, type NameInfo, type Rows } from '../api/client';

/** Reads a condition on the server: the one compiler decides what it means. */
export function readCondition(
  project: string,
  screen: string,
  element: string | undefined,
  what: { text?: string; rows?: Rows; template?: boolean },
): Promise<ConditionRead> {
  return ask(
    api.POST('/api/build/{project}/condition', { params: { path: { project } }, body: { screen, element, ...what } }),
  );
}

/** The names that a condition of an element may compare. */
export function useNames(project: string, screen: string, element: string | undefined) {
  return useQuery<NameInfo[]>({
    queryKey: ['names', project, screen, element],
    queryFn: () =>
      ask(api.GET('/api/build/{project}/names', { params: { path: { project }, query: { screen, element } } })),
  });
}
