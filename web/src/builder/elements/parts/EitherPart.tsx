import { ChosenPart } from './ChosenPart';

interface EitherProps {
  path: string[]; // of what it is a part of
  name: string;
  label: string;
  value: boolean | undefined;
  no: string; // the usual, which takes the part away
  yes: string;
}

/** A part of an element that is one of two. */
export function EitherPart({ value, no, yes, ...part }: EitherProps) {
  const among = [
    ['', no],
    ['true', yes],
  ] as const;
  return <ChosenPart {...part} value={value ? 'true' : ''} among={among} as={(v) => v === 'true'} />;
}
