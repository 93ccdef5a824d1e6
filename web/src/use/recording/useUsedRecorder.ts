import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, type Place, type PressRequest, type PressResult, Refused, type Shown } from '../../api/client';
import { keptWalk } from '../../trail/keptWalk';
import { begun, looked, pressed, type Recording, seen, went } from '../../trail/recorded';
import { depthOf, layerOf } from '../../trail/shown';
import type { Along } from '../../trail/Trail';

/** Where one looks: what lies over all. */
function placeOf(shown: Shown): Place | undefined {
  return layerOf(shown, depthOf(shown))?.view.place;
}

/** Records what somebody who builds the application does in use, as a walk. */
export function useUsedRecorder(project: string, shown: Shown) {
  const [recording, setRecording] = useState<Recording>();
  const [problem, setProblem] = useState('');
  const before = useRef({ n: shown.n, depth: depthOf(shown) });
  const place = placeOf(shown);
  const on = recording !== undefined;
  useEffect(() => {
    const was = before.current;
    before.current = { n: shown.n, depth: depthOf(shown) };
    if (!on || !place) return;
    setRecording((r) => {
      if (!r) return r;
      // The browser’s own back tells nobody: it shows in that the place is one before.
      const back = shown.n < was.n && r.at !== undefined;
      return seen(back ? went(r, 'back') : r, place);
    });
  }, [on, place, shown]);
  const onPressed = useCallback((request: PressRequest, at: Place, result: PressResult) => {
    const to = result.shown && placeOf(result.shown);
    const moved = result.kind === 'moved' && to;
    setRecording((r) => r && pressed(r, request, at, moved ? { kind: 'moved', place: to } : { kind: 'stayed' }));
  }, []);
  const onArranged = useCallback((at: Place) => setRecording((r) => r && looked(r, at)), []);
  const onWent = useCallback((to: Along) => {
    if (to === 'back' || to === 'forward' || to === 'home' || to === 'up' || to === 'close') {
      setRecording((r) => r && went(r, to));
    }
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
