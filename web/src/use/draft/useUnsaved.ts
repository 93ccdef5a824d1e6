import { useCallback, useEffect, useRef, useState } from 'react';
import { useBlocker } from 'react-router';
import type { Shown } from '../../api/client';
import type { Draft } from '../../trail/Draft';
import { keptByTab, pointerHere, pointerOf } from '../../trail/pointer';
import { depthOf } from '../../trail/shown';
import type { Trail } from '../../trail/Trail';

/** What can be done with unsaved work of one screen before it is left. */
export interface UnsavedHands {
  keep: () => Promise<unknown>;
  forget: () => Promise<void>;
}

interface Leaving {
  go: () => void;
  stay: () => void;
  from: number; // the screens from this depth on are left
}

/** Asks before a screen with something typed on it is left by other ways than its own buttons. */
export function useUnsaved(trail: Trail) {
  const screens = useRef(new Map<number, UnsavedHands>());
  const [leaving, setLeaving] = useState<Leaving>();
  const allowed = useRef(false);

  const register = useCallback((depth: number, hands: UnsavedHands | undefined) => {
    if (hands) screens.current.set(depth, hands);
    else screens.current.delete(depth);
  }, []);
  const dirtyFrom = useCallback((depth: number) => [...screens.current.keys()].some((d) => d >= depth), []);

  /** Leaves the screens from a depth on, after asking if something is typed there. */
  const leave = useCallback(
    (from: number, go: () => void) => {
      if (dirtyFrom(from)) setLeaving({ go, stay: () => {}, from });
      else go();
    },
    [dirtyFrom],
  );

  const blocker = useBlocker(
    ({ historyAction, currentLocation, nextLocation }) =>
      historyAction === 'POP' &&
      !allowed.current &&
      !leadsTo(nextLocation.state, trail.state.shown) && // the trail is there already, and what is typed there too
      dirtyFrom(leftFrom(currentLocation.state, nextLocation.state)),
  );
  const blocked = blocker.state === 'blocked' ? blocker : undefined;
  const asking: Leaving | undefined =
    leaving ??
    (blocked && {
      go: () => blocked.proceed(),
      stay: () => blocked.reset(),
      from: leftFrom(pointerHere(), blocked.location.state),
    });

  const answer = async (how: 'keep' | 'forget' | 'stay') => {
    setLeaving(undefined);
    if (!asking) return;
    if (how === 'stay') return asking.stay();
    const left = [...screens.current].filter(([depth]) => depth >= asking.from);
    await Promise.all(left.map(([, hands]) => (how === 'keep' ? hands.keep() : hands.forget())));
    for (const [depth] of left) screens.current.delete(depth);
    allowed.current = true;
    asking.go();
    setTimeout(() => {
      allowed.current = false;
    }, 500);
  };
  /** What is typed anywhere is forgotten, and nobody is asked. */
  const forget = async () => {
    await Promise.all([...screens.current.values()].map((hands) => hands.forget()));
    screens.current.clear();
    allowed.current = true;
  };
  return { register, leave, asking: asking !== undefined, answer, forget, dirty: () => screens.current.size > 0 };
}

/** The depth from which screens are left on the way from one history entry to another. */
function leftFrom(here: unknown, next: unknown): number {
  const a = pointerOf(here, keptByTab);
  const b = pointerOf(next, keptByTab);
  return a && b && a.trail === b.trail && a.n === b.n ? (b.depth ?? 0) + 1 : 0;
}

/** Whether a history entry is that of what is shown. */
function leadsTo(entry: unknown, shown: Shown | undefined): boolean {
  const to = pointerOf(entry, keptByTab);
  return to?.trail === shown?.trail && to?.n === shown?.n && (to?.depth ?? 0) === (shown ? depthOf(shown) : 0);
}

export type Unsaved = ReturnType<typeof useUnsaved>;

interface KeptProps {
  unsaved: Unsaved;
  depth: number;
  shown: Shown;
  draft: Draft;
}

/** Lets it be asked about what is typed on one screen, as long as something is. */
export function useKeptUnsaved({ unsaved, depth, shown, draft }: KeptProps) {
  const { dirty } = draft;
  // biome-ignore lint/correctness/useExhaustiveDependencies: whatever is shown next, unsaved work here is to be asked about
  useEffect(() => {
    const keep = () => draft.flush();
    unsaved.register(depth, dirty ? { keep, forget: draft.forget } : undefined);
    return () => unsaved.register(depth, undefined);
  }, [dirty, depth, shown, draft]);
}
