import { useCallback, useEffect, useState } from 'react';
import { api, ask, type Place, type Practised, type PressRequest, Refused } from '../../api/client';
import { type Answers, type Asked, answered, type PressAim, type Pressed } from '../../trail/asking';
import { wordsOfProblem } from '../../trail/Press';

/** The press that follows when a dialog comes back, and the place that it was opened from. */
interface Returning {
  place: Place;
  press: Pick<PressRequest, 'element' | 'trigger' | 'row' | 'point'>;
}

/** What was practised so far, over all screens: it ends when it is begun afresh. */
export interface Practising {
  journal: string | undefined;
  count: number;
  returns: Returning[]; // of the dialogs that are open, the innermost last
  follows?: Returning & { result: string }; // a dialog came back: what is pressed next
}

export const notPractised: Practising = { journal: undefined, count: 0, returns: [] };

interface PracticeProps {
  project: string;
  practised: Practising;
  onPractised: (change: (old: Practising) => Practising) => void;
  as: string;
  place: Place | undefined;
  values: Record<string, string>;
  version: string | undefined;
  onMove: (p: Practised) => void;
  onDone: (request: PressRequest, at: Place, done: Practised) => void; // it came to something
}

/** What a practised press does not have: a trail, a release. */
const bare = { trail: '', n: 0, release: 0, values: {}, base: {} };

const none: Record<string, string> = {}; // nothing is wrong

/** Presses of the builder: they act on the screen, nothing is kept and nothing reaches the plant. */
export function usePractice(props: PracticeProps) {
  const { project, as, place, values, version, onMove, onDone, practised, onPractised } = props;
  const { journal, count, returns } = practised;
  const [asked, setAsked] = useState<Asked>();
  const [said, setSaid] = useState<string>();
  const [errors, setErrors] = useState(none);
  const [busy, setBusy] = useState<string>();
  const send = useCallback(
    async (request: PressRequest, at = place): Promise<Pressed> => {
      if (!at) return { done: false };
      setBusy(request.element);
      setSaid(undefined);
      setErrors(none);
      try {
        const done = await ask(
          api.POST('/api/build/{project}/practise', {
            params: { path: { project } },
            body: { as, place: at, press: request, journal },
          }),
        );
        if (done.kind === 'question' && done.question) {
          setAsked({ request, question: done.question });
          return { done: false };
        }
        setAsked(undefined);
        const opens = done.back && {
          place: at,
          press: { element: request.element, trigger: done.back, row: request.row, point: request.point },
        };
        const back = done.move === 'close' ? returns.at(-1) : undefined;
        onPractised((old) => ({
          journal: done.journal || old.journal,
          count: old.count + (done.journal ? 1 : 0),
          returns: opens ? [...old.returns, opens] : back ? old.returns.slice(0, -1) : old.returns,
          follows: back && done.result ? { ...back, result: done.result } : undefined,
        }));
        onDone(request, at, back ? { ...done, place: back.place } : done);
        if (done.would) setSaid(`Practice: ${done.would.join(', ')}.`);
        else if (done.message) setSaid(done.message);
        onMove(back ? { ...done, move: undefined, place: back.place } : done);
        return { done: true };
      } catch (e) {
        if (!(e instanceof Refused)) throw e;
        setAsked(undefined);
        if (e.problem.fields) setErrors(e.problem.fields);
        else setSaid(wordsOfProblem(e.problem));
        return { done: false, fields: e.problem.fields };
      } finally {
        setBusy(undefined);
      }
    },
    [project, as, place, journal, returns, onMove, onDone, onPractised],
  );
  const press = (element: { id: string }, aim?: PressAim): Promise<Pressed> =>
    send({ ...bare, press: crypto.randomUUID(), element: element.id, values, version, ...aim });
  const { follows } = practised;
  useEffect(() => {
    if (!follows || place?.screen !== follows.place.screen) return;
    onPractised((old) => ({ ...old, follows: undefined }));
    const request = { ...bare, press: crypto.randomUUID(), ...follows.press, result: follows.result };
    void send(request, follows.place);
  }, [follows, place, onPractised, send]);
  const answer = (a: Answers) => {
    if (asked) void send(answered(asked, a));
  };
  const forget = () => {
    onPractised(() => notPractised);
    setSaid(undefined);
  };
  return {
    press,
    answer,
    asked,
    dismiss: () => setAsked(undefined),
    said,
    setSaid,
    errors,
    busy,
    journal,
    count: journal ? count : 0,
    forget,
  };
}

export type Practice = ReturnType<typeof usePractice>;
