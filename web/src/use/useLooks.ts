import { useCallback, useEffect, useRef } from 'react';
import { api, ask, type ElementView, type Look, Refused, type View } from '../api/client';

interface LooksProps {
  project: string;
  at: { trail: string; n: number; depth: number };
  view: View;
  onElements: (changed: ElementView[]) => void;
}

const pause = 400; // ms after scrolling stops

/** Keeps how lists are left, so that they are found like that again; chosen rows at once. */
export function useLooks({ project, at, view, onElements }: LooksProps) {
  const looks = useRef<Record<string, Look>>(view.place.look ?? {});
  const dirty = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const latest = useRef({ at, onElements });
  latest.current = { at, onElements };
  const place = `${at.trail}.${at.n}.${at.depth}`;
  const seen = useRef(place);
  if (seen.current !== place) {
    seen.current = place;
    looks.current = view.place.look ?? {};
    dirty.current = false;
  }

  const flush = useCallback(
    async (last = false) => {
      clearTimeout(timer.current);
      if (!dirty.current) return;
      dirty.current = false;
      const body = { ...latest.current.at, look: looks.current };
      try {
        const path = { params: { path: { project } } };
        const { elements } = await ask(api.POST('/api/use/{project}/look', { ...path, body, keepalive: last }));
        if (elements.length > 0 && seen.current === `${body.trail}.${body.n}.${body.depth}`)
          latest.current.onElements(elements);
      } catch (e) {
        if (!(e instanceof Refused)) throw e; // how a list was left is worth no message
      }
    },
    [project],
  );
  const keep = useCallback(
    (list: string, look: Look) => {
      const before = looks.current[list];
      looks.current = { ...looks.current, [list]: look };
      dirty.current = true;
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void flush(), before?.row === look.row ? pause : 60);
    },
    [flush],
  );
  useEffect(() => {
    const leave = () => void flush(true);
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      void flush();
    };
  }, [flush]);

  const chosen = useCallback(
    () => Object.fromEntries(Object.entries(looks.current).flatMap(([list, l]) => (l.row ? [[list, l.row]] : []))),
    [],
  );
  return { keep, flush, chosen };
}
