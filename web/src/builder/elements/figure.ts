import type { BuiltElement } from './element';

export const figure: BuiltElement<'figure'> = { words: (e) => e.words ?? '' };
