import type { BuiltElement, LookProps } from './element';
import { ChosenPart } from './parts/ChosenPart';
import { ConditionPart } from './parts/ConditionPart';
import { TypedPart } from './parts/TypedPart';

const noticed = [
  ['', 'neither'],
  ['on', 'when it is on'],
  ['off', 'when it is off'],
] as const;

export const lamp: BuiltElement<'lamp'> = { words: (e) => e.words, Look: LampLook };

/** What a lamp is on for, what it says, and which state is to be noticed. */
function LampLook({ path, element: e }: LookProps<'lamp'>) {
  return (
    <>
      <TypedPart path={path} name="words" label="Words" value={e.words} needed />
      <ConditionPart path={path} name="value" label="On while" limits />
      <TypedPart path={path} name="on" label="Says when on" value={e.on} needed />
      <TypedPart path={path} name="off" label="Says when off" value={e.off} needed />
      <ChosenPart path={path} name="abnormal" label="To be noticed" value={e.abnormal} among={noticed} />
    </>
  );
}
