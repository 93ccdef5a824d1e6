import { useCallback, useRef, useState } from 'react';
import {
  type Act,
  api,
  ask,
  type ElementView,
  type PressRequest,
  type PressResult,
  type Question,
  Refused,
} from '../api/client';
import type { PressAim, Pressed } from '../screen/context';
import { noteOpened } from './cameFrom';
import type { TrailHands } from './useTrail';

/** Answers to a question, put with the same press. */
export interface Answers {
  confirmed?: boolean;
  unsaved?: 'save' | 'keep' | 'drop';
  keep?: Record<string, string>;
  picked?: Record<string, string>;
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

interface PressProps {
  project: string;
  trail: TrailHands;
  form: Form;
  depth: number;
  chosen: () => Record<string, string>; // rows by list
  /** Before a press is sent: what is typed or looked at is kept. */
  onSend: () => void;
  onResult: (result: PressResult) => void;
  at: { csv: (list: string) => string };
  drawer: (rail: string, how: string) => void;
}

const none: Record<string, string> = {}; // nothing is wrong

/** Sends presses and deals with what they come to. One press has one id, however often it is sent. */
export function usePress({ project, trail, form, depth, chosen, onSend, onResult, at, drawer }: PressProps) {
  const [busy, setBusy] = useState<string>();
  const [asked, setAsked] = useState<Asked>();
  const [errors, setErrors] = useState(none);
  const [said, setSaid] = useState<{ words: string; bad?: boolean }>();
  const under = useRef(false);
  const { insist, show, fail, reload } = trail;

  const send = useCallback(
    async (request: PressRequest, ofRow: boolean): Promise<Pressed> => {
      under.current = true;
      setBusy(request.element);
      setSaid(undefined);
      setErrors(none);
      try {
        const result = await insist(() =>
          ask(api.POST('/api/use/{project}/press', { params: { path: { project } }, body: request })),
        );
        if (result.kind === 'question' && result.question) {
          setAsked({ request, question: result.question });
          return { done: false };
        }
        setAsked(undefined);
        setSaid(wordsOf(result));
        onResult(result);
        if (result.address) openTab(`/use/${project}${result.address}`, request);
        for (const act of result.does ?? []) acts(act, { ...at, drawer });
        if (result.out) return await leaveAll();
        if (result.leave && result.as === 'tab') window.open(result.leave, '_blank', 'noopener');
        else if (result.leave) window.location.assign(result.leave);
        if (result.shown) show(result.shown);
        return { done: true };
      } catch (e) {
        setAsked(undefined);
        if (!(e instanceof Refused)) throw e;
        const fields = e.problem.fields;
        if (fields && !ofRow) setErrors(fields);
        else if (e.status === 401) fail(e);
        else if (!fields) setSaid({ words: `${e.problem.what} ${e.problem.then ?? ''}`, bad: true });
        if (lost.includes(e.problem.code)) await reload();
        return { done: false, fields };
      } finally {
        under.current = false;
        setBusy(undefined);
      }
    },
    [insist, project, show, fail, reload, onResult, at, drawer],
  );

  const press = useCallback(
    async (element: Pick<ElementView, 'id'>, aim: PressAim = {}): Promise<Pressed> => {
      const here = trail.shown;
      if (!here || under.current) return { done: false };
      onSend();
      const { values, base, version, ...rest } = aim;
      const own = { values: form.values, base: form.base, version: form.version };
      return send(
        {
          press: newId(),
          trail: here.trail,
          n: here.n,
          release: here.release,
          depth,
          element: element.id,
          chosen: chosen(),
          ...rest,
          ...(values ? { values, base, version } : own),
        },
        values !== undefined,
      );
    },
    [trail.shown, send, depth, form, chosen, onSend],
  );

  const answer = useCallback(
    (answers: Answers) => {
      if (!asked) return;
      const { request } = asked;
      const tokens = [...(request.tokens ?? []), ...(asked.question.token ? [asked.question.token] : [])];
      const picked = answers.picked && { picked: { ...request.picked, ...answers.picked } };
      const dropped = answers.unsaved === 'drop' ? { values: {} } : {};
      void send({ ...request, ...dropped, ...answers, ...picked, tokens }, request.trigger === 'keepRow');
    },
    [asked, send],
  );

  /** A screen that has been left already: what is done on that waits for no answer; what is shown
   * by then may tell of it, and is read again. */
  const left = useCallback(
    (from: { trail: string; n: number; depth: number }, way: string, release: number) => {
      const body = { press: newId(), ...from, release, element: way, trigger: 'left' };
      void api
        .POST('/api/use/{project}/press', { params: { path: { project } }, body, keepalive: true })
        .then((r) => (r.response.ok ? reload() : undefined))
        .catch(() => {});
    },
    [project, reload],
  );

  return { press, left, busy, asked, answer, dismiss: () => setAsked(undefined), errors, said, setSaid };
}

/** What only the browser can do. */
function acts(act: Act, hands: { csv: (list: string) => string; drawer: (rail: string, how: string) => void }) {
  if (act.what === 'print') window.print();
  if (act.what === 'drawer' && act.rail) hands.drawer(act.rail, act.how ?? 'open');
  if (act.what === 'export' && act.list) window.location.assign(hands.csv(act.list));
}

/** Signs out, and begins anew. */
async function leaveAll(): Promise<Pressed> {
  await api.POST('/api/sign-out');
  sessionStorage.clear();
  window.location.assign('/');
  return { done: true };
}

/** After these the screen is not what it was any more. */
const lost = ['greyed', 'hidden', 'no-element', 'place-left', 'no-record'];

function openTab(address: string, from: { trail: string; n: number }) {
  noteOpened(address, from);
  window.open(address, '_blank', 'noopener');
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
