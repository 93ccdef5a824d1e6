import type { Part } from '../../../document/edit';
import { ChosenPart } from './ChosenPart';

interface EitherProps {
  path: string[]; // of what it is a part of
  name: string;
  label: string;
  value: boolean | undefined;
  no: string; // the usual, which takes the part away
  yes: string;
  kept?: Part; // what is kept for yes, where it is more than that
}

/** A part of an element that is one of two. */
export function EitherPart({ value, no, yes, kept = true, ...part }: EitherProps) {
  const among = [
    ['', no],
    ['true', yes],
  ] as const;
  return <ChosenPart {...part} value={value ? 'true' : ''} among={among} as={() => kept} />;
}
