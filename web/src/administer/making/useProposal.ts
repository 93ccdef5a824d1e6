import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ask, type Wish } from '../../api/client';

/** What would be made of what was chosen; the one before stays until it is there. */
export function useProposal(wish: Wish) {
  const { title: _, ...rest } = wish;
  return useQuery({
    queryKey: ['proposal', rest],
    queryFn: () => ask(api.POST('/api/proposals', { body: wish })),
    enabled: wish.tables.length > 0,
    placeholderData: keepPreviousData,
  });
}
