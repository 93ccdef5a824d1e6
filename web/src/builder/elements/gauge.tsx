import type { BuiltElement, LookProps } from './element';
import { TypedPart } from './parts/TypedPart';
import { isNumber, ValuePart } from './parts/ValuePart';

export const gauge: BuiltElement<'gauge'> = { words: (e) => e.words, Look: GaugeLook };

/** What a gauge shows, from where to where, and the band that is good. */
function GaugeLook({ path, element: e }: LookProps<'gauge'>) {
  return (
    <>
      <TypedPart path={path} name="words" label="Words" value={e.words} needed />
      <ValuePart path={path} name="value" label="Shows" only={isNumber} />
      <ValuePart path={path} name="set" label="Should be" only={isNumber} />
      <TypedPart path={path} name="unit" label="Unit" value={e.unit} width="76px" />
      <TypedPart path={path} name="min" label="From" value={e.min} number needed />
      <TypedPart path={path} name="max" label="To" value={e.max} number needed />
      <TypedPart path={path} name="low" label="Good from" value={e.low} number />
      <TypedPart path={path} name="high" label="Good to" value={e.high} number />
      <TypedPart path={path} name="digits" label="Digits behind the point" value={e.digits} number />
    </>
  );
}
