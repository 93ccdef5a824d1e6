import { useCallback, useState } from 'react';
import { api, ask, type ElementView, type Place, type Practised, type PressRequest, Refused } from '../api/client';
import type { PressAim, Pressed } from '../screen/context';
import type { Answers, Asked } from '../use/usePress';

interface PracticeProps {
  project: string;
  as: string;
  place: Place | undefined;
  values: Record<string, string>;
  version: string | undefined;
  onMove: (p: Practised) => void;
}

/** Presses of the builder: they act on the screen, nothing is kept and nothing reaches the plant. */
export function usePractice({ project, as, place, values, version, onMove }: PracticeProps) {
  const [journal, setJournal] = useState<string>();
  const [count, setCount] = useState(0);
  const [asked, setAsked] = useState<Asked>();
  const [said, setSaid] = useState<string>();
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState<string>();
  const send = useCallback(
    async (request: PressRequest): Promise<Pressed> => {
      if (!place) return { done: false };
      setBusy(request.element);
      setSaid(undefined);
      setErrors({});
      try {
        const done = await ask(
          api.POST('/api/build/{project}/practise', {
            params: { path: { project } },
            body: { as, place, press: request, journal },
          }),
        );
        if (done.kind === 'question' && done.question) {
          setAsked({ request, question: done.question });
          return { done: false };
        }
        setAsked(undefined);
        if (done.journal !== '' && done.journal !== undefined) {
          setJournal(done.journal);
          setCount((n) => n + 1);
        }
        if (done.would) setSaid(`Practice: ${done.would.join(', ')}.`);
        else if (done.message) setSaid(done.message);
        onMove(done);
        return { done: true };
      } catch (e) {
        if (!(e instanceof Refused)) throw e;
        setAsked(undefined);
        if (e.problem.fields) setErrors(e.problem.fields);
        else setSaid(`${e.problem.what} ${e.problem.then ?? ''}`);
        return { done: false, fields: e.problem.fields };
      } finally {
        setBusy(undefined);
      }
    },
    [project, as, place, journal, onMove],
  );
  const press = (element: ElementView, aim?: PressAim): Promise<Pressed> =>
    send({
      press: crypto.randomUUID(),
      trail: '',
      n: 0,
      release: 0,
      element: element.id,
      values,
      base: {},
      version,
      ...aim,
    });
  const answer = (a: Answers) => {
    if (asked) void send({ ...asked.request, ...(a.unsaved === 'drop' ? { values: {} } : {}), ...a });
  };
  const forget = () => {
    setJournal(undefined);
    setCount(0);
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
