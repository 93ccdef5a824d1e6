import type { BuiltWay, OfTrigger, Trigger } from './way';
import { entered, keys, left, swipe, time } from './ways';

/** Each trigger of the screen itself: one that is missing here does not compile. */
export const ways: { [T in Trigger]: BuiltWay<T> } = { swipe, keys, entered, left, time };

/** What can be added to a screen that no element of it sets off. */
export const offers = Object.values(ways).flatMap((w) => w.offers.map((o) => ({ ...o, does: w.does ?? false })));

/** What of a way's trigger can be changed. */
export function lookOf<T extends Trigger>(path: string[], way: OfTrigger<T>) {
  const of: BuiltWay<T> = ways[way.trigger];
  return of.Look && <of.Look path={path} way={way} />;
}
