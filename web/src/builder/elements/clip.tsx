import { put } from '../../document/edit';
import { entityOf } from '../../document/parts';
import { useBuild } from '../context';
import { KeptChip } from '../sentence/look/KeptChip';
import type { BuiltElement, LookProps } from './element';
import { ChosenPart } from './parts/ChosenPart';
import { EitherPart } from './parts/EitherPart';

export const clip: BuiltElement<'clip'> = {
  tall: true,
  words: (e, d) => entityOf(d, e.clip, 'clip')?.name ?? '',
  starts: [{ trigger: 'ended', at: 'ended', words: 'when it was played to its end' }],
  Look: ClipLook,
};

/** Which clip it plays, and how. */
function ClipLook({ path, element: e }: LookProps<'clip'>) {
  const { entities } = useBuild();
  const byItself = e.starts === 'itself';
  return (
    <>
      <KeptChip sort="clip" path={[...path, 'clip']} needed />
      <ChosenPart
        path={path}
        name="starts"
        label="Starts"
        value={e.starts}
        among={[
          ['', 'when it is pressed'],
          ['itself', 'by itself, without sound'],
        ]}
        also={(id) => (id ? [] : put(entities, [...path, 'bare'], undefined))}
      />
      {!e.ended && (
        <EitherPart path={path} name="again" label="At its end" value={e.again} no="stands still" yes="begins again" />
      )}
      {byItself ? (
        <EitherPart path={path} name="bare" label="Can be stopped" value={e.bare} no="yes" yes="no" />
      ) : (
        <EitherPart path={path} name="silent" label="Sound" value={e.silent} no="is heard" yes="is not heard" />
      )}
    </>
  );
}
