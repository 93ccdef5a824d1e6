import { useCallback, useState } from 'react';
import { api, ask, type Op, type Place, type Practised, type PressRequest, Refused } from '../../api/client';
import { newId } from '../../document/edit';
import { begun, keptSteps, pressed, type Recording, seen } from './recorded';

/** Records what is pressed and where it leads, as a walk. */
export function useRecorder(project: string, as: string, edit: (patch: Op[]) => Promise<unknown>) {
  const [recording, setRecording] = useState<Recording>();
  const [problem, setProblem] = useState('');
  const onSeen = useCallback((p: Place) => setRecording((r) => r && seen(r, p)), []);
  const onPressed = useCallback(
    (request: PressRequest, at: Place, done: Practised) => setRecording((r) => r && pressed(r, request, at, done)),
    [],
  );
  const begin = useCallback(() => {
    setProblem('');
    setRecording(begun);
  }, []);
  const drop = useCallback(() => setRecording(undefined), []);
  /** Keeps what was recorded under a name; gives the walk's id, or nothing where it is refused. */
  const keep = async (name: string, pos: number): Promise<string | undefined> => {
    if (!recording) return undefined;
    try {
      const steps = Object.values(keptSteps(recording.steps));
      const named = await ask(
        api.POST('/api/build/{project}/walks/recorded', { params: { path: { project } }, body: { as, steps } }),
      );
      const id = newId('wk');
      const value = { kind: 'walk', pos, name, who: named.who, steps: keptSteps(named.steps) };
      await edit([{ op: 'add', path: `/${id}`, value }]);
      setRecording(undefined);
      return id;
    } catch (e) {
      if (!(e instanceof Refused)) throw e;
      setProblem(`${e.problem.what} ${e.problem.then ?? ''}`);
      return undefined;
    }
  };
  return { recording, problem, begin, drop, keep, onSeen, onPressed };
}

export type Recorder = ReturnType<typeof useRecorder>;
