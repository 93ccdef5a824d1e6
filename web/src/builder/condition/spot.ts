import { useQuery } from '@tanstack/react-query';
import { api, ask, type Completion, type ConditionRead, type NameInfo, type Rows } from '../../api/client';

/** Where a condition stands: on a screen, or over a table's records. */
export interface Spot {
  project: string;
  as: string; // whose records are offered
  screen?: string;
  element?: string;
  table?: string;
  use?: 'rule' | 'shared' | 'callup'; // decided by the database; named and shared; of what the plant calls up
}

function body(s: Spot) {
  return { screen: s.screen, element: s.element, table: s.table, use: s.use };
}

/** Reads a condition on the server: the one compiler decides what it means. */
export function readCondition(
  s: Spot,
  what: { text?: string; rows?: Rows; template?: boolean; value?: boolean },
): Promise<ConditionRead> {
  return ask(
    api.POST('/api/build/{project}/condition', {
      params: { path: { project: s.project } },
      body: { ...body(s), ...what },
    }),
  );
}

/** What could stand at a place of a condition's text. */
export function complete(s: Spot, text: string, at: number): Promise<Completion> {
  return ask(
    api.POST('/api/build/{project}/complete', {
      params: { path: { project: s.project } },
      body: { ...body(s), text, at },
    }),
  );
}

/** The names that a condition may compare; with a path of a record, what that one has. */
export function useNames(s: Spot, under = '', enabled = true) {
  return useQuery<NameInfo[]>({
    queryKey: ['names', s.project, s.screen, s.element, s.table, s.use, under],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/names', {
          params: {
            path: { project: s.project },
            query: { screen: s.screen, element: s.element, table: s.table, use: s.use, under: under || undefined },
          },
        }),
      ),
    enabled,
  });
}

/** The different values that a field has in the database, most frequent first. */
export function useValues(s: Spot, name: NameInfo | undefined, find: string, enabled: boolean) {
  const [table = '', field = ''] = name?.in?.split('.') ?? [];
  return useQuery<string[]>({
    queryKey: ['values', s.project, s.as, table, field, find],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/values/{table}/{field}', {
          params: { path: { project: s.project, table, field }, query: { as: s.as, q: find || undefined } },
        }),
      ),
    enabled: enabled && field !== '' && name?.type === 'text',
  });
}

/** The name behind a path, be it near or several relations away. */
export function useName(s: Spot, names: NameInfo[], path: string): NameInfo | undefined {
  const near = names.find((n) => n.path === path);
  const cut = path.includes('.equip.') ? path.indexOf('.equip.') : path.lastIndexOf('.');
  const under = path.slice(0, Math.max(cut, 0));
  const far = useNames(s, under, !near && under.includes('.') && names.length > 0);
  return near ?? far.data?.find((n) => n.path === path);
}
