import { useEffect, useState } from 'react';
import type { Completion } from '../../api/client';
import { complete, type Spot } from './spot';

/** What could stand where the cursor is, asked for shortly after the last key. */
export function useCompletion(spot: Spot, text: string, at: number | undefined) {
  const [found, setFound] = useState<Completion>();
  const { project, screen, element, table, use } = spot;
  useEffect(() => {
    if (at === undefined) return setFound(undefined);
    let stale = false;
    const wait = setTimeout(() => {
      complete({ project, as: '', screen, element, table, use }, text, at).then(
        (c) => !stale && setFound(c),
        () => !stale && setFound(undefined), // without an answer there are no offers
      );
    }, 90);
    return () => {
      stale = true;
      clearTimeout(wait);
    };
  }, [project, screen, element, table, use, text, at]);
  return found;
}
