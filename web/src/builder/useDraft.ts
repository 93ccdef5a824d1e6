import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, type Draft, type NewRelease, type Op, Refused } from '../api/client';
import type { Document } from '../document/document.gen';
import { insistently } from '../trail/insist';
import { wordsOfProblem } from '../trail/Press';
import { hereKey, type Present, tab } from './others/presence';

/** The project as it is being built: read, edited, undone; other builders' edits come in by themselves. */
export function useDraft(project: string) {
  const queries = useQueryClient();
  const key = ['draft', project];
  const draft = useQuery({
    queryKey: key,
    queryFn: () => newest(project, queries.getQueryData<Draft>(key)),
    structuralSharing: false, // a large project is not to be compared whole after each edit
    // The checks of a large project take a while; what they find comes later.
    refetchInterval: (q) => (q.state.data?.checking ? 1500 : false),
  });
  const [problem, setProblem] = useState<string>();
  const fresh = useCallback(async () => {
    await queries.invalidateQueries({ queryKey: ['draft', project] });
    // Drawn with the newest edit, the screen at work is asked for already: that one is waited for, none is asked for twice.
    await new Promise((drawn) => setTimeout(drawn));
    await queries.invalidateQueries({ queryKey: ['work', project] }, { cancelRefetch: false });
  }, [queries, project]);
  const settle = {
    onSuccess: () => setProblem(undefined),
    onError: (e: Error) =>
      setProblem(e instanceof Refused ? wordsOfProblem(e.problem) : 'Something went wrong here. Load the page again.'),
    onSettled: fresh,
  };
  // Each carries an id of its own: sent again, when nobody answered, it is done once.
  const once = <T>(call: (params: Once) => Promise<T>) => {
    const params = { path: { project }, header: { 'Idempotency-Key': crypto.randomUUID() } };
    return insistently(() => call(params));
  };
  const edit = useMutation({
    mutationFn: (patch: Op[]) =>
      once((params) => ask(api.POST('/api/build/{project}/edits', { params, body: { patch } }))),
    ...settle,
  });
  const undo = useMutation({
    mutationFn: () => once((params) => ask(api.POST('/api/build/{project}/undo', { params }))),
    ...settle,
  });
  const redo = useMutation({
    mutationFn: () => once((params) => ask(api.POST('/api/build/{project}/redo', { params }))),
    ...settle,
  });
  const takeBack = useMutation({
    mutationFn: (seq: number) =>
      once(({ path, header }) =>
        ask(api.POST('/api/build/{project}/history/{seq}/back', { params: { path: { ...path, seq }, header } })),
      ),
    ...settle,
  });
  const release = useMutation({
    mutationFn: (body: NewRelease) =>
      once((params) => ask(api.POST('/api/build/{project}/releases', { params, body }))),
    ...settle,
  });
  const busy = edit.isPending || undo.isPending || redo.isPending || takeBack.isPending;
  useOthers(project, draft.data, busy, fresh);
  const { mutateAsync } = edit;
  const last = useRef<Promise<unknown>>(Promise.resolve());
  /** Makes an edit, or one of the document as it is once all that were made before are in it. */
  const make = useCallback(
    (patch: Op[] | ((d: Document) => Op[])): Promise<unknown> => {
      const before = last.current;
      const made = async () => {
        if (typeof patch === 'function') await before;
        const entities = queries.getQueryData<Draft>(['draft', project])?.entities ?? {};
        const ops = typeof patch === 'function' ? patch(entities) : patch;
        if (ops.length > 0) await mutateAsync(ops).catch(() => undefined);
      };
      const done = made();
      last.current = Promise.all([before, done]);
      return done;
    },
    [mutateAsync, queries, project],
  );
  return {
    draft,
    edit: make,
    undo,
    redo,
    takeBack,
    release,
    problem,
    setProblem,
    fresh,
    busy,
  };
}

interface Once {
  path: { project: string };
  header: { 'Idempotency-Key': string };
}

/** The draft as it is now: of what one has already, only what has changed since is fetched. */
async function newest(project: string, had: Draft | undefined): Promise<Draft> {
  const fetched = (since?: number) =>
    ask(api.GET('/api/build/{project}', { params: { path: { project }, query: { since } } }));
  const draft = await fetched(had?.seq);
  if (!had) return draft;
  const entities: Draft['entities'] = {};
  for (const id of Object.keys(draft.versions)) {
    const kept = had.versions[id] === draft.versions[id] ? had.entities[id] : undefined;
    const entity = draft.entities[id] ?? kept;
    if (!entity) return fetched(); // what one has is not what the server thinks: all of it anew
    entities[id] = entity;
  }
  return { ...draft, entities };
}

export type DraftHands = ReturnType<typeof useDraft>;

function useOthers(project: string, draft: Draft | undefined, busy: boolean, fresh: () => Promise<void>) {
  const queries = useQueryClient();
  // One stream for as long as the project is open: an edit while it is opened anew would not be told. It begins with
  // how many edits there are, so that none is missed between the first reading and it.
  const [told, setTold] = useState(0);
  useEffect(() => {
    const events = new EventSource(`/api/build/${project}/events?tab=${tab}`);
    events.addEventListener('edited', (e) => {
      const edited: { seq: number } = JSON.parse(e.data);
      setTold(edited.seq);
    });
    events.addEventListener('here', (e) => {
      const here: Present[] = JSON.parse(e.data);
      queries.setQueryData(hereKey(project), here);
    });
    // After a break it is a new stream: where one is has to be said again.
    events.addEventListener('open', () => queries.setQueryData(['listens', project], {}));
    return () => events.close();
  }, [project, queries]);
  const seq = draft?.seq;
  useEffect(() => {
    // One’s own edit is told as well: what it came to is read when it is answered.
    if (!busy && seq !== undefined && told > seq) void fresh();
  }, [told, seq, busy, fresh]);
}
