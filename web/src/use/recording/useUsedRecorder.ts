import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, type Place, type PressRequest, type PressResult, Refused, type Shown } from '../../api/client';
import { keptWalk } from '../../trail/keptWalk';
import { begun, looked, pressed, type Recording, seen, went } from '../../trail/recorded';
import { depthOf, layerOf } from '../../trail/shown';
import type { Along } from '../../trail/Trail';

type Going = Parameters<typeof went>[1];

/** Where one looks: what lies over all. */
function placeOf(shown: Shown): Place | undefined {
  return layerOf(shown, depthOf(shown))?.view.place;
}

/** Records what somebody who builds the application does in use, as a walk. */
export function useUsedRecorder(project: string, shown: Shown) {
  const [recording, setRecording] = useState<Recording>();
  const [problem, setProblem] = useState('');
  const before = useRef({ n: shown.n, depth: depthOf(shown) });
  // What set off the next place: it is noted when one is there, since what is shown may change before, by itself.
  const cause = useRef<'press' | Going>(undefined);
  const place = placeOf(shown);
  const on = recording !== undefined;
  useEffect(() => {
    const was = before.current;
    const now = { n: shown.n, depth: depthOf(shown) };
    before.current = now;
    if (!on || !place) return;
    let by = cause.current;
    if (was.n !== now.n || was.depth !== now.depth) cause.current = undefined;
    else if (by !== 'press') by = undefined;
    // The browser’s own back tells nobody: it shows in that the place is one before.
    const to = by === undefined && now.n < was.n ? 'back' : by;
    setRecording((r) => r && seen(to && to !== 'press' ? went(r, to) : r, place));
  }, [on, place, shown]);
  const onPressed = useCallback((request: PressRequest, at: Place, result: PressResult) => {
    const to = result.shown && placeOf(result.shown);
    const moved = result.kind === 'moved' && to;
    cause.current = moved ? 'press' : undefined;
    setRecording((r) => r && pressed(r, request, at, moved ? { kind: 'moved', place: to } : { kind: 'stayed' }));
  }, []);
  const onArranged = useCallback((at: Place) => setRecording((r) => r && looked(r, at)), []);
  const onWent = useCallback((to: Along) => {
    if (to === 'back' || to === 'forward' || to === 'home' || to === 'up' || to === 'close') cause.current = to;
  }, []);
  const begin = useCallback(() => {
    setProblem('');
    setRecording(begun);
  }, []);
  const drop = useCallback(() => setRecording(undefined), []);
  const keep = async (name: string): Promise<string | undefined> => {
    if (!recording) return undefined;
    const params = { path: { project } };
    try {
      const there = await ask(api.GET('/api/build/{project}/walks', { params }));
      const { id, patch } = await keptWalk(project, '', name, there.length + 1, recording.steps);
      await ask(api.POST('/api/build/{project}/edits', { params, body: { patch } }));
      setRecording(undefined);
      return id;
    } catch (e) {
      if (!(e instanceof Refused)) throw e;
      setProblem(`${e.problem.what} ${e.problem.then ?? ''}`);
      return undefined;
    }
  };
  return { recording, problem, begin, drop, keep, onPressed, onArranged, onWent };
}

export type UsedRecorder = ReturnType<typeof useUsedRecorder>;
