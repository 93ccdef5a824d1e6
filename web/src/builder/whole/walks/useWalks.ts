import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, type Problem, Refused, type WalkResult } from '../../../api/client';

/** The walks of the draft in words, and what came of them since its last edit. */
export function useWalks(project: string, seq: number) {
  const told = useQuery({
    queryKey: ['walks', project, seq],
    queryFn: () => ask(api.GET('/api/build/{project}/walks', { params: { path: { project } } })),
    placeholderData: (old) => old,
  });
  const [results, setResults] = useState<Record<string, WalkResult>>({});
  const [going, setGoing] = useState<string[]>([]);
  const [problem, setProblem] = useState<Problem>();
  const at = useRef(seq);
  useEffect(() => {
    at.current = seq;
    setResults({}); // an edit may have changed what comes of them
    setProblem(undefined);
  }, [seq]);
  const go = useCallback(
    async (walks: string[]) => {
      const of = at.current;
      setGoing((old) => [...old, ...walks]);
      setProblem(undefined);
      try {
        for (const walk of walks) {
          const gone = await ask(
            api.POST('/api/build/{project}/walks/gone', { params: { path: { project } }, body: { walks: [walk] } }),
          );
          if (at.current !== of) return;
          setResults((old) => ({ ...old, ...Object.fromEntries(gone.map((r) => [r.walk, r])) }));
          setGoing((old) => old.filter((id) => id !== walk));
        }
      } catch (e) {
        if (!(e instanceof Refused)) throw e;
        setProblem(e.problem);
      } finally {
        setGoing((old) => old.filter((id) => !walks.includes(id)));
      }
    },
    [project],
  );
  return { told, results, going, problem, go };
}
