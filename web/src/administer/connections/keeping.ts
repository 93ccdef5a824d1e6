import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, type ConnectionKept, type Tried } from '../../api/client';
import { wordsOf, wrongFields } from '../problems';

/** Trying a connection and keeping it; done is told what came of it when it was kept. */
export function useKeeping(body: ConnectionKept, done: (tried: Tried) => void) {
  const queries = useQueryClient();
  const attempt = useMutation({
    mutationFn: (other?: ConnectionKept) => ask(api.POST('/api/connections/try', { body: other ?? body })),
  });
  const keep = useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/connections/{connection}', { params: { path: { connection: body.name.trim() || '-' } }, body }),
      ),
    onSuccess: (tried) => {
      void queries.invalidateQueries({ queryKey: ['connections'] });
      done(tried);
    },
  });
  const busy = attempt.isPending || keep.isPending;
  // What was tried last is told: a connection may be tried again after it was kept.
  const later = attempt.submittedAt > keep.submittedAt ? attempt : keep;
  return {
    attempt: (other?: ConnectionKept) => attempt.mutate(other),
    keep: () => keep.mutate(),
    busy,
    trying: attempt.isPending,
    kept: keep.isSuccess && keep.data.no?.code !== 'own-store',
    tried: busy ? undefined : (later.data ?? attempt.data ?? keep.data),
    wrong: { ...wrongFields(attempt.error), ...wrongFields(keep.error) },
    words: wordsOf(attempt.error) ?? wordsOf(keep.error),
  };
}

export type Keeping = ReturnType<typeof useKeeping>;
