import type { ReactNode } from 'react';
import type { Document, Picture } from '../../../document/document.gen';
import type { Kept } from '../../../document/parts';
import { clipsOf, picturesOf } from '../../../document/project';
import type { Sort } from '../../keep';

interface SortLook {
  all: (d: Document) => Kept<Pick<Picture, 'name' | 'words' | 'digest'>>[];
  accept: string;
  small: (address: string, words: string) => ReactNode;
}

/** How what a project keeps is chosen, by its sort. */
export const sorts: Record<Sort, SortLook> = {
  picture: {
    all: picturesOf,
    accept: 'image/png,image/jpeg,image/webp,image/gif,image/avif,image/svg+xml',
    small: (address, words) => (
      <img src={address} alt={words} style={{ maxHeight: 60, maxWidth: '100%', margin: '0 auto' }} />
    ),
  },
  clip: {
    all: clipsOf,
    accept: 'video/mp4,video/webm',
    small: (address, words) => (
      // biome-ignore lint/a11y/useMediaCaption: its first picture, beside its name
      <video src={address} aria-label={words} preload="metadata" style={{ maxHeight: 60, maxWidth: '100%' }} />
    ),
  },
};
