import { PictureChip } from '../sentence/look/PictureChip';
import type { BuiltElement } from './element';

export const image: BuiltElement<'image'> = {
  Look: ({ path }) => <PictureChip path={[...path, 'picture']} />,
};
