import { useCallback, useState } from 'react';
import { type Op, type Place, type Practised, type PressRequest, Refused } from '../../api/client';
import { keptWalk } from '../../trail/keptWalk';
import { begun, looked, pressed, type Recorded, type Recording, seen } from '../../trail/recorded';

/** Records what is pressed and where it leads, as a walk. */
export function useRecorder(project: string, as: string, edit: (patch: Op[]) => Promise<unknown>) {
  const [recording, setRecording] = useState<Recording>();
  const [problem, setProblem] = useState('');
  const onSeen = useCallback((p: Place) => setRecording((r) => r && seen(r, p)), []);
  const onPressed = useCallback(
    (request: PressRequest, at: Place, done: Practised) => setRecording((r) => r && pressed(r, request, at, done)),
    [],
  );
  const onLooked = useCallback((at: Place) => setRecording((r) => r && looked(r, at)), []);
  const begin = useCallback(() => {
    setProblem('');
    setRecording(begun);
  }, []);
  /** Something that was looked at, and is to be so. */
  const claim = useCallback((step: Recorded) => setRecording((r) => r && { ...r, steps: [...r.steps, step] }), []);
  const drop = useCallback(() => setRecording(undefined), []);
  /** Keeps what was recorded under a name; gives the walk's id, or nothing where it is refused. */
  const keep = async (name: string, pos: number): Promise<string | undefined> => {
    if (!recording) return undefined;
    try {
      const { id, patch } = await keptWalk(project, as, name, pos, recording.steps);
      await edit(patch);
      setRecording(undefined);
      return id;
    } catch (e) {
      if (!(e instanceof Refused)) throw e;
      setProblem(`${e.problem.what} ${e.problem.then ?? ''}`);
      return undefined;
    }
  };
  return { recording, problem, begin, drop, keep, claim, onSeen, onPressed, onLooked };
}

export type Recorder = ReturnType<typeof useRecorder>;
