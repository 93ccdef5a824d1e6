import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, Refused } from '../api/client';

interface KeeperProps {
  project: string;
  at: { trail: string; n: number; depth: number };
  keeps: boolean; // there is something to type on here
  form: { values: Record<string, string>; base: Record<string, string>; version?: string };
  known: string | undefined; // id of the draft that was found here
}

const pause = 500; // ms after typing stops

/** Keeps what is typed on the server: half a second after typing stops, and when the page hides. */
export function useDraftKeeper({ project, at, keeps, form, known }: KeeperProps) {
  const [taken, setTaken] = useState(false);
  const id = useRef(known);
  const sent = useRef(JSON.stringify(known ? form.values : {}));
  const latest = useRef({ form, at, keeps });
  latest.current = { form, at, keeps };

  const flush = useCallback(
    async (last = false) => {
      const now = latest.current;
      const text = JSON.stringify(now.form.values);
      if (!now.keeps || text === sent.current) return;
      sent.current = text;
      const body = { ...now.at, id: id.current, ...now.form };
      try {
        const call = api.POST('/api/use/{project}/draft', { params: { path: { project } }, body, keepalive: last });
        id.current = (await ask(call)).id;
        setTaken(false);
      } catch (e) {
        sent.current = ''; // tried again with the next change
        if (!(e instanceof Refused)) throw e;
        if (e.problem.code === 'draft-taken') setTaken(true);
      }
    },
    [project],
  );

  /** What is typed was saved or is forgotten: nothing of it is to be kept any more. */
  const settle = useCallback(() => {
    sent.current = JSON.stringify({});
    id.current = undefined;
  }, []);
  /** Goes on with a draft that another tab kept. */
  const adopt = useCallback((draft: { id: string; values: Record<string, string> } | undefined) => {
    id.current = draft?.id;
    sent.current = JSON.stringify(draft?.values ?? {});
    setTaken(false);
  }, []);

  // biome-ignore lint/correctness/useExhaustiveDependencies: each change of what is typed starts the pause anew
  useEffect(() => {
    const timer = setTimeout(() => void flush(), pause);
    return () => clearTimeout(timer);
  }, [form.values, flush]);
  useEffect(() => {
    const hide = () => document.visibilityState === 'hidden' && void flush(true);
    const leave = () => void flush(true);
    document.addEventListener('visibilitychange', hide);
    window.addEventListener('pagehide', leave);
    return () => {
      document.removeEventListener('visibilitychange', hide);
      window.removeEventListener('pagehide', leave);
    };
  }, [flush]);

  return { flush, settle, adopt, taken, takeBack: () => id.current };
}
