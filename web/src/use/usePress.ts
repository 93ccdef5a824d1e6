import { useCallback, useState } from 'react';
import { api, ask, type ElementView, type PressRequest, type PressResult, type Question, Refused } from '../api/client';
import type { PressAim } from '../screen/context';
import type { TrailHands } from './useTrail';

/** Answers to a question, put with the same press. */
export interface Answers {
  confirmed?: boolean;
  unsaved?: 'save' | 'drop';
  keep?: Record<string, string>;
}

/** A press that waits for an answer. */
export interface Asked {
  request: PressRequest;
  question: Question;
}

interface Form {
  values: Record<string, string>;
  base: Record<string, string>;
  version?: string;
}

/** Sends presses and deals with what they come to. One press has one id, however often it is sent. */
export function usePress(project: string, trail: TrailHands, form: Form, overlay: boolean) {
  const [busy, setBusy] = useState<string>();
  const [asked, setAsked] = useState<Asked>();
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [said, setSaid] = useState<{ words: string; bad?: boolean }>();
  const { insist, show, fail, reload } = trail;

  const send = useCallback(
    async (request: PressRequest) => {
      setBusy(request.element);
      setSaid(undefined);
      setErrors({});
      try {
        const result = await insist(() =>
          ask(api.POST('/api/use/{project}/press', { params: { path: { project } }, body: request })),
        );
        if (result.kind === 'question' && result.question) return setAsked({ request, question: result.question });
        setAsked(undefined);
        setSaid(wordsOf(result));
        if (result.shown) show(result.shown);
      } catch (e) {
        setAsked(undefined);
        if (!(e instanceof Refused)) throw e;
        if (e.problem.fields) setErrors(e.problem.fields);
        else if (e.status === 401) fail(e);
        else setSaid({ words: `${e.problem.what} ${e.problem.then ?? ''}`, bad: true });
        if (['greyed', 'hidden', 'no-element', 'place-left', 'no-record'].includes(e.problem.code)) await reload();
      } finally {
        setBusy(undefined);
      }
    },
    [insist, project, show, fail, reload],
  );

  const press = useCallback(
    (element: ElementView, aim?: PressAim) => {
      const at = trail.shown;
      if (!at || busy) return;
      void send({
        press: newId(),
        trail: at.trail,
        n: at.n,
        release: at.release,
        overlay,
        element: element.id,
        ...aim,
        values: form.values,
        base: form.base,
        version: form.version,
      });
    },
    [trail.shown, busy, send, overlay, form],
  );

  const answer = useCallback(
    (answers: Answers) => {
      if (!asked) return;
      const { request } = asked;
      const dropped = answers.unsaved === 'drop' ? { values: {} } : {};
      void send({ ...request, ...dropped, ...answers });
    },
    [asked, send],
  );

  return { press, busy, asked, answer, dismiss: () => setAsked(undefined), errors, said, setSaid };
}

function wordsOf(result: PressResult) {
  const command = result.commands?.[0];
  if (!command) return result.message ? { words: result.message } : undefined;
  const words: Record<string, string> = {
    done: 'taken by the plant',
    refused: 'refused',
    unknown: 'sent, but the answer was lost: look at the plant',
    expired: 'not sent in time',
  };
  return {
    words: `${capital(command.label)}: ${words[command.state] ?? command.state}${command.reason ? ` (${command.reason})` : ''}.`,
    bad: command.state !== 'done',
  };
}

function capital(s: string) {
  return s.charAt(0).toUpperCase() + s.slice(1);
}

function newId() {
  return Array.from(crypto.getRandomValues(new Uint8Array(12)), (b) => b.toString(16).padStart(2, '0')).join('');
}
