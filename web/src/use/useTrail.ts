import { useCallback, useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate, useNavigationType } from 'react-router';
import { api, ask, Refused, type Shown } from '../api/client';

/** What the browser's own history holds: a pointer to a place of the server's trail. */
interface Pointer {
  trail: string;
  n: number;
}

function pointerOf(state: unknown): Pointer | undefined {
  if (typeof state !== 'object' || state === null || !('trail' in state) || !('n' in state)) return undefined;
  return typeof state.trail === 'string' && typeof state.n === 'number'
    ? { trail: state.trail, n: state.n }
    : undefined;
}

const again = 2000; // ms between tries while nobody answers

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
      const to = `/use/${project}${next.view.address}`;
      const state: Pointer = { trail: next.trail, n: next.n };
      const forward = before !== undefined && before.trail === next.trail && next.n > before.n;
      const here = pointerOf(window.history.state?.usr);
      if (here?.trail === next.trail && here.n === next.n) {
        navigate(to, { replace: true, state });
      } else if (before && before.trail === next.trail && next.n === before.n - 1 && window.history.state?.idx > 0) {
        navigate(-1); // the browser's own back leads to the same place
      } else {
        navigate(to, { replace: !forward, state });
      }
    },
    [navigate, project, kept],
  );

  const fail = useCallback((e: unknown) => {
    if (e instanceof Refused) setRefused(e);
    else throw e;
  }, []);

  // The browser went somewhere: by its back or forward, by a typed address, by a reload.
  useEffect(() => {
    stopped.current = false;
    const pointer = pointerOf(location.state);
    const now = current.current;
    if (now && pointer && pointer.trail === now.trail && pointer.n === now.n) return;
    // A pointer that was pushed or replaced was put there by show, and may arrive after a later one.
    if (now && pointer && moved !== 'POP') return;
    let gone = false;
    const address = (location.pathname + location.search).slice(`/use/${project}`.length);
    const open = () =>
      now && pointer && pointer.trail === now.trail
        ? ask(api.POST('/api/use/{project}/go', { params: { path: { project } }, body: { ...pointer, to: 'place' } }))
        : ask(
            api.POST('/api/use/{project}/open', {
              params: { path: { project } },
              body: { address, trail: pointer?.trail ?? sessionStorage.getItem(kept) ?? undefined, n: pointer?.n },
            }),
          );
    insist(open).then(
      (s) => !gone && show(s),
      (e) => !gone && fail(e),
    );
    return () => {
      gone = true;
    };
  }, [location, moved, project, kept, insist, show, fail]);

  useEffect(
    () => () => {
      stopped.current = true;
    },
    [],
  );

  const go = useCallback(
    async (to: 'back' | 'forward' | 'home' | 'close') => {
      const at = current.current;
      if (!at) return;
      try {
        show(
          await insist(() =>
            ask(
              api.POST('/api/use/{project}/go', {
                params: { path: { project } },
                body: { trail: at.trail, n: at.n, to },
              }),
            ),
          ),
        );
      } catch (e) {
        fail(e);
      }
    },
    [insist, show, fail, project],
  );

  const reload = useCallback(async () => {
    const at = current.current;
    try {
      const body = at ? { trail: at.trail, n: at.n } : {};
      show(await insist(() => ask(api.POST('/api/use/{project}/open', { params: { path: { project } }, body }))));
    } catch (e) {
      fail(e);
    }
  }, [insist, show, fail, project]);

  return { shown, setShown, refused, setRefused, away, insist, show, fail, go, reload };
}

export type TrailHands = ReturnType<typeof useTrail>;
