import { useCallback, useRef, useState } from 'react';
import { type ListView, Refused, type RowView } from '../../api/client';
import { wordsOfProblem } from '../../trail/Press';
import { useScreen } from '../context';

/** The rows that are there of a list: one stretch of it, which grows at both ends. */
export interface Stretch {
  rows: RowView[];
  before: string | undefined; // cursor to read back from; none at the beginning
  next: string | undefined; // cursor to go on from; none at the end
  waiting: boolean;
  problem: string | undefined;
  grow: (back: boolean) => Promise<number>; // how many rows came
  jump: (toEnd: boolean) => Promise<void>;
}

type Rows = Pick<Stretch, 'rows' | 'before' | 'next'>;

/** Fetches further rows as they are needed. A list that came in anew begins anew. */
export function useStretch(element: string, list: ListView): Stretch {
  const { more } = useScreen();
  const [grown, setGrown] = useState<{ of: ListView; got: Rows }>();
  const [waiting, setWaiting] = useState(false);
  const [problem, setProblem] = useState<string>();
  const under = useRef(false);
  const now: Rows = grown?.of === list ? grown.got : { rows: list.rows, before: list.before, next: list.next };

  const fetch = useCallback(
    async (cursor: string, back: boolean, put: (page: ListView) => Rows) => {
      if (under.current) return 0;
      under.current = true;
      setWaiting(true);
      try {
        const page = await more(element, cursor, back);
        setGrown({ of: list, got: put(page) });
        setProblem(undefined);
        return page.rows.length;
      } catch (e) {
        if (!(e instanceof Refused)) throw e;
        setProblem(wordsOfProblem(e.problem));
        return 0;
      } finally {
        under.current = false;
        setWaiting(false);
      }
    },
    [more, element, list],
  );
  const grow = (back: boolean) => {
    const cursor = back ? now.before : now.next;
    if (!cursor) return Promise.resolve(0);
    return fetch(cursor, back, (page) =>
      back
        ? { rows: [...page.rows, ...now.rows], before: page.before, next: now.next }
        : { rows: [...now.rows, ...page.rows], before: now.before, next: page.next },
    );
  };
  const jump = async (toEnd: boolean) => {
    await fetch('', toEnd, (page) => ({ rows: page.rows, before: page.before, next: page.next }));
  };
  return { ...now, waiting, problem, grow, jump };
}
