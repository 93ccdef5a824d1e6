import { entityOf } from '../../document/parts';
import { useBuild } from '../context';
import { KeptChip } from '../sentence/look/KeptChip';
import type { BuiltElement, LookProps } from './element';
import { TypedPart } from './parts/TypedPart';

export const image: BuiltElement<'image'> = {
  tall: true,
  starts: [{ trigger: 'release', at: 'gate', words: 'when it is pressed' }],
  Look: ImageLook,
};

/** Which picture it is, and what it shows, for people who cannot see it. */
function ImageLook({ path, element: e }: LookProps<'image'>) {
  const { entities } = useBuild();
  const kept = entityOf(entities, e.picture, 'picture');
  return (
    <>
      <KeptChip path={[...path, 'picture']} needed />
      {kept && (
        <TypedPart
          path={[e.picture]}
          name="words"
          label="What it shows"
          hint="for people who cannot see it"
          value={kept.words}
          width="280px"
        />
      )}
    </>
  );
}
