import { PictureChip } from '../sentence/look/PictureChip';
import type { BuiltElement } from './element';

export const image: BuiltElement<'image'> = {
  tall: true,
  starts: [{ trigger: 'release', at: 'gate', words: 'when it is pressed' }],
  Look: ({ path }) => <PictureChip path={[...path, 'picture']} />,
};
