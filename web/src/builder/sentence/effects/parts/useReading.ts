import { useState } from 'react';
import { readCondition } from '../../../condition/spot';
import { useBuild } from '../../../context';
import { spotOf, type WayRef } from '../../wiring';
import { type Entry, textOf } from './values';

/** Reads values on the server, and keeps what is wrong with the one read last. */
export function useReading(wayRef: WayRef) {
  const { as } = useBuild();
  const [problem, setProblem] = useState<string>();
  const text = async (words: string) => {
    const answer = await readCondition(spotOf(wayRef, as), { text: words, value: true });
    setProblem(answer.problem?.message);
    return answer.problem ? undefined : answer.stored;
  };
  const entry = async (e: Entry) => {
    const words = textOf(e);
    if ('text' in words) return text(words.text);
    setProblem(words.problem);
  };
  return { problem, setProblem, text, entry };
}
