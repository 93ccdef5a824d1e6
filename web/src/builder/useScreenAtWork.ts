import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ask, type Place } from '../api/client';

interface AtWorkAsked {
  project: string;
  seq: number; // of the draft
  screen: string; // "" for none
  as: string;
  journal: string | undefined;
  place: Place | undefined;
  vars: Record<string, string>;
  enabled: boolean;
}

/** A screen of the draft as it is for the walked user, with its ways; operator screens are asked for again and again. */
export function useScreenAtWork({ project, seq, screen, as, journal, place, vars, enabled }: AtWorkAsked) {
  const { inputs, mode, set, filters, tabs, find, sort, spot } = place ?? {};
  return useQuery({
    queryKey: ['work', project, seq, screen, as, place, journal, vars],
    queryFn: () =>
      ask(
        api.POST('/api/build/{project}/work', {
          params: { path: { project } },
          body: { screen, as, journal, inputs, mode, set, filters, tabs, find, sort, spot, vars },
        }),
      ),
    enabled: enabled && screen !== '' && as !== '',
    placeholderData: keepPreviousData,
    refetchInterval: (q) => (q.state.data?.view?.type === 'operator' ? 1500 : false),
  });
}
