import { useEffect, useRef } from 'react';
import type { View } from '../api/client';
import { isKeys } from '../screen/keys';
import type { PressAim, Pressed } from '../trail/asking';
import { startTimers } from './timers';
import { useSwipe } from './useSwipe';

interface WaysProps {
  view: View;
  place: string; // changes with each arrival
  active: boolean; // nothing lies over this screen
  press: (element: { id: string }, aim?: PressAim) => Promise<Pressed>;
  /** Set off when the screen has been left already. */
  onLeft: (way: string) => void;
}

/** What no element sets off: shortcuts, swipes, entering, leaving, a time after entering. */
export function useWays({ view, place, active, press, onLeft }: WaysProps) {
  const now = useRef({ view, press, onLeft, active });
  now.current = { view, press, onLeft, active };
  const set = useRef((id: string, trigger: string) => {
    void now.current.press({ id }, { trigger });
  }).current;

  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each arrival
  useEffect(() => {
    const ways = now.current.view.ways ?? [];
    const timed = (way: string) => {
      if (now.current.active) set(way, 'time');
      return now.current.active;
    };
    const endTimers = startTimers(ways, timed, document);
    const entered = ways.find((w) => w.trigger === 'entered');
    const settle = entered && setTimeout(() => set(entered.id, 'entered'), 0);
    return () => {
      endTimers();
      clearTimeout(settle);
      for (const w of ways) if (w.trigger === 'left') now.current.onLeft(w.id);
    };
  }, [place]);

  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if (!now.current.active || e.defaultPrevented || e.repeat) return;
      const { elements, rails, ways } = now.current.view;
      const all = [...elements, ...(rails ?? []).flatMap((r) => r.elements)];
      const button = all.find(
        (b) => b.kind === 'button' && b.state === 'shown' && b.button.keys && isKeys(e, b.button.keys),
      );
      const way = ways?.find((w) => w.keys && isKeys(e, w.keys));
      if (!button && !way) return;
      e.preventDefault();
      if (button) void now.current.press(button);
      else if (way) set(way.id, 'keys');
    };
    document.addEventListener('keydown', key);
    return () => document.removeEventListener('keydown', key);
  }, [set]);

  useSwipe((side) => {
    if (!now.current.active) return;
    const way = now.current.view.ways?.find((w) => w.trigger === 'swipe' && w.side === side);
    if (way) set(way.id, 'swipe');
  });
}
