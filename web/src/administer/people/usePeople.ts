import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../api/client';

/** Everybody who can sign in, and the applications that they may have roles in. */
export function usePeople() {
  return useQuery({ queryKey: ['people'], queryFn: () => ask(api.GET('/api/people')) });
}
