import type { BuiltElement } from './element';

export const lamp: BuiltElement<'lamp'> = { words: (e) => e.words };
