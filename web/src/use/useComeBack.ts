import { useEffect } from 'react';
import type { Given, ThenPress, Title } from '../api/client';
import type { Press } from '../trail/Press';

interface ComeBackProps {
  depth: number;
  given: Given | undefined;
  onGiven: (given: Given | undefined) => void;
  then: ThenPress | undefined;
  onThen: (then: ThenPress | undefined) => void;
  press: Press;
  type: (field: string, value: string) => void;
  onTitle: (field: string, title: Title) => void;
}

/** A dialog that was opened from this screen came back: with a record for a field, or with what follows. */
export function useComeBack({ depth, given, onGiven, then, onThen, press, type, onTitle }: ComeBackProps) {
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each that came back
  useEffect(() => {
    if (given?.depth !== depth) return;
    onTitle(given.field, { key: given.key, title: given.title });
    type(given.field, given.key);
    onGiven(undefined);
  }, [given, depth]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each that came back
  useEffect(() => {
    if (then?.depth !== depth) return;
    onThen(undefined);
    const { element, depth: _, ...aim } = then;
    void press.press({ id: element }, aim);
  }, [then, depth]);
}
