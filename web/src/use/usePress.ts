import { useLayoutEffect, useState, useSyncExternalStore } from 'react';
import { Press, type PressHands } from '../trail/Press';

/** The presses of one screen, with what they work with at each drawing. */
export function usePress(hands: PressHands) {
  const [press] = useState(() => new Press(hands));
  useLayoutEffect(() => {
    press.hands = hands;
  });
  return { press, ...useSyncExternalStore(press.subscribe, press.snapshot) };
}
