import { shapes } from '../../screen/plant/shapes';
import type { BuiltElement, LookProps } from './element';
import { ChosenPart } from './parts/ChosenPart';
import { RowFaces } from './parts/RowFaces';
import { TypedPart } from './parts/TypedPart';
import { isNumber, ValuePart } from './parts/ValuePart';

export const symbol: BuiltElement<'symbol'> = {
  tall: true,
  words: (e) => e.words || e.shape,
  starts: [{ trigger: 'release', at: 'gate', words: 'when it is pressed' }],
  Look: SymbolLook,
};

const turns = [
  ['', 'as it is'],
  ['90', 'a quarter'],
  ['180', 'upside down'],
  ['270', 'three quarters'],
] as const;

/** What thing it is, how full, and how it looks when. */
function SymbolLook({ path, element: e }: LookProps<'symbol'>) {
  return (
    <>
      <ChosenPart
        path={path}
        name="shape"
        label="Is a"
        value={e.shape}
        among={Object.keys(shapes).map((s) => [s, s])}
      />
      <TypedPart path={path} name="words" label="Words" value={e.words} />
      <ChosenPart path={path} name="turn" label="Turned by" value={String(e.turn || '')} among={turns} as={Number} />
      <RowFaces path={path} faces={e.faces} label="Faces" />
      <ValuePart path={path} name="level" label="How full" only={isNumber} />
      {e.level && (
        <>
          <TypedPart path={path} name="min" label="Empty at" hint="0" value={e.min} number />
          <TypedPart path={path} name="max" label="Full at" hint="100" value={e.max} number />
        </>
      )}
    </>
  );
}
