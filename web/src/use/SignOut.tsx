import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, ask } from '../api/client';
import { Action } from '../ui/controls';

/** Ends the session everywhere. */
export function SignOut({ dark }: { dark?: boolean }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const out = useMutation({
    mutationFn: () => ask(api.POST('/api/sign-out')),
    onSuccess: () => {
      sessionStorage.clear();
      navigate('/');
      void queries.resetQueries();
    },
  });
  return (
    <Action tone="quiet" color={dark ? 'white' : undefined} onClick={() => out.mutate()} disabled={out.isPending}>
      Sign out
    </Action>
  );
}
