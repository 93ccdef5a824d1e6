import type { ComponentType } from 'react';
import type { Way } from '../../../document/document.gen';

export type Trigger = Way['trigger'];

type Ways = { [W in Way as W['trigger']]: W };

/** A way of the screen itself, by what sets it off; any, if nothing is named. */
export type OfTrigger<T extends Trigger = Trigger> = { [P in T]: Ways[P] & { trigger: P } }[T];

/** What the builder knows of a trigger that no element has. */
export interface BuiltWay<T extends Trigger> {
  /** What can be added, and how it is said. */
  offers: { id: string; words: string; way: Omit<OfTrigger<T>, 'pos' | 'gate'> }[];
  /** What of it can be changed. */
  Look?: ComponentType<{ path: string[]; way: OfTrigger<T> }>;
  /** Leaving the screen leads nowhere else: only something is done. */
  does?: boolean;
}
