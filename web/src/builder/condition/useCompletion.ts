import { useEffect, useState } from 'react';
import type { Completion } from '../../api/client';
import { complete, type Spot } from './spot';

/** An answer, and what it was asked about. */
interface Found extends Completion {
  asked: { text: string; at: number };
}

/**
 * What could stand where the cursor is, asked for shortly after the last key. While somebody types on, what was found
 * before is told as it is by now.
 */
export function useCompletion(spot: Spot, text: string, at: number | undefined) {
  const [found, setFound] = useState<Found>();
  const { project, screen, element, table, use } = spot;
  useEffect(() => {
    if (at === undefined) return setFound(undefined);
    let stale = false;
    const wait = setTimeout(() => {
      complete({ project, as: '', screen, element, table, use }, text, at).then(
        (c) => !stale && setFound({ ...c, asked: { text, at } }),
        () => !stale && setFound(undefined), // without an answer there are no offers
      );
    }, 90);
    return () => {
      stale = true;
      clearTimeout(wait);
    };
  }, [project, screen, element, table, use, text, at]);
  return found && at !== undefined ? typedOn(found, text, at) : undefined;
}

/**
 * What was found for a text that was typed on since: the place that an offer takes has grown, and only offers that go
 * on as it does are left. Nothing where the text is another one by now.
 */
export function typedOn(found: Found, text: string, at: number): Completion | undefined {
  const { asked } = found;
  if (asked.text === text && asked.at === at) return found;
  const [was, now] = [Array.from(asked.text), Array.from(text)];
  const grown = at - asked.at;
  const before = was.slice(0, asked.at).join('');
  const same = now.slice(0, asked.at).join('') === before && now.slice(at).join('') === was.slice(asked.at).join('');
  if (grown <= 0 || !same) return undefined;
  const part = now.slice(found.from, at).join('');
  return { ...found, to: found.to + grown, offers: found.offers.filter((o) => o.text.startsWith(part)) };
}
