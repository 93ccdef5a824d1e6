import { useCallback, useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate, useNavigationType } from 'react-router';
import { api, ask, Refused, type Shown } from '../api/client';
import { openedFrom } from './cameFrom';
import { claim } from './claim';
import { depthOf, noteFork, type Pointer, pointerHere, pointerOf } from './pointer';

const again = 2000; // ms between tries while nobody answers

/** Where along the trail one can go. */
export type Along = 'back' | 'forward' | 'home' | 'up' | 'close';

/**
 * The trail of this tab. The server's trail is the truth; the browser's history entries point
 * to it. Whatever is shown came from the server, resolved.
 */
export function useTrail(project: string) {
  const location = useLocation();
  const moved = useNavigationType();
  const navigate = useNavigate();
  const [shown, setShown] = useState<Shown>();
  const [refused, setRefused] = useState<Refused>();
  const [away, setAway] = useState<Refused>();
  const current = useRef<Shown>(undefined);
  const stopped = useRef(false);
  const kept = `ambergate.trail.${project}`;

  /** Asks until somebody answers: what is asked carries its own id, so that asking twice does nothing twice. */
  const insist = useCallback(async <T>(call: () => Promise<T>): Promise<T> => {
    for (;;) {
      try {
        const answer = await call();
        setAway(undefined);
        return answer;
      } catch (e) {
        if (!(e instanceof Refused) || !e.away || stopped.current) {
          setAway(undefined);
          throw e;
        }
        setAway(e);
        await new Promise((done) => setTimeout(done, again));
      }
    }
  }, []);

  /** Shows what the server answered and lets the browser's history point to it. */
  const show = useCallback(
    (next: Shown) => {
      const before = current.current;
      current.current = next;
      setShown(next);
      setRefused(undefined);
      sessionStorage.setItem(kept, next.trail);
      void claim(next.trail);
      const to = `/use/${project}${next.view.address}`;
      const state: Pointer = { trail: next.trail, n: next.n, depth: depthOf(next) };
      const here = pointerHere();
      const same = before !== undefined && before.trail === next.trail;
      const forward = same && next.n > before.n;
      const deep = before ? depthOf(before) : 0;
      const deeper = same && next.n === before.n ? depthOf(next) - deep : 0;
      const canGoBack = window.history.state?.idx > 0;
      if (here?.trail === next.trail && here.n === next.n && (here.depth ?? 0) === state.depth) {
        navigate(to, { replace: true, state });
      } else if (deeper > 0) {
        navigate(to, { state }); // back closes what lies over the place
      } else if (deeper < 0 && canGoBack && (here?.depth ?? 0) === deep) {
        navigate(deeper);
      } else if (same && next.n === before.n - 1 && deep === 0 && canGoBack) {
        navigate(-1); // the browser's own back leads to the same place
      } else {
        navigate(to, { replace: !forward || deep > 0, state });
      }
    },
    [navigate, project, kept],
  );

  const fail = useCallback((e: unknown) => {
    if (e instanceof Refused) setRefused(e);
    else throw e;
  }, []);

  const post = useCallback(
    (to: string, at: { trail: string; n: number }) =>
      ask(api.POST('/api/use/{project}/go', { params: { path: { project } }, body: { trail: at.trail, n: at.n, to } })),
    [project],
  );

  /** The first place of a page: that of its pointer, of its address, or of a tab that it was opened from. */
  const begin = useCallback(
    async (pointer: Pointer | undefined) => {
      const trail = pointer?.trail ?? sessionStorage.getItem(kept) ?? undefined;
      const body = { address: (location.pathname + location.search).slice(`/use/${project}`.length) };
      const path = { params: { path: { project } } };
      if (!trail) {
        const from = openedFrom(location.pathname + location.search);
        return ask(api.POST('/api/use/{project}/open', { ...path, body: { ...body, from } }));
      }
      if (await claim(trail)) {
        return ask(api.POST('/api/use/{project}/open', { ...path, body: { ...body, trail, n: pointer?.n } }));
      }
      if (!pointer) return ask(api.POST('/api/use/{project}/open', { ...path, body }));
      try {
        const own = await ask(api.POST('/api/use/{project}/fork', { ...path, body: { trail, n: pointer.n } }));
        noteFork(trail, own.trail);
        return own;
      } catch (e) {
        if (!(e instanceof Refused) || e.away || e.status === 401) throw e;
        return ask(api.POST('/api/use/{project}/open', { ...path, body })); // it was somebody else's, or is gone
      }
    },
    [project, kept, location],
  );

  // The browser went somewhere: by its back or forward, by a typed address, by a reload.
  useEffect(() => {
    stopped.current = false;
    const pointer = pointerOf(location.state);
    const now = current.current;
    // A pointer that was pushed or replaced was put there by show, and may arrive after a later one.
    if (now && pointer && moved !== 'POP') return;
    const onIt = now && pointer && pointer.trail === now.trail && pointer.n === now.n;
    if (onIt && (pointer.depth ?? 0) === depthOf(now)) return;
    let gone = false;
    const open = async (): Promise<Shown> => {
      if (!now || !pointer || pointer.trail !== now.trail) return begin(pointer);
      if (!onIt) return post('place', pointer);
      let next = now;
      for (let d = depthOf(now); d > (pointer.depth ?? 0); d--) next = await post('close', now);
      return next;
    };
    insist(open).then(
      (s) => !gone && show(s),
      (e) => !gone && fail(e),
    );
    return () => {
      gone = true;
    };
  }, [location, moved, begin, post, insist, show, fail]);

  useEffect(
    () => () => {
      stopped.current = true;
    },
    [],
  );

  const reload = useCallback(async () => {
    const at = current.current;
    try {
      const body = at ? { trail: at.trail, n: at.n } : {};
      const next = await insist(() =>
        ask(api.POST('/api/use/{project}/open', { params: { path: { project } }, body })),
      );
      const now = current.current;
      if (now?.trail === at?.trail && now?.n === at?.n) show(next); // else one has gone on by now
    } catch (e) {
      fail(e);
    }
  }, [insist, show, fail, project]);

  // Shown again from the browser's own cache: what it shows may be long past.
  useEffect(() => {
    const back = (e: PageTransitionEvent) => e.persisted && void reload();
    window.addEventListener('pageshow', back);
    return () => window.removeEventListener('pageshow', back);
  }, [reload]);

  const go = useCallback(
    async (to: Along, n?: number) => {
      const at = current.current;
      if (!at) return;
      try {
        const from = { trail: at.trail, n: n ?? at.n };
        show(await insist(() => post(n === undefined ? to : 'place', from)));
      } catch (e) {
        fail(e);
      }
    },
    [insist, post, show, fail],
  );

  return { shown, setShown, refused, setRefused, away, insist, show, fail, go, reload };
}

export type TrailHands = ReturnType<typeof useTrail>;
