import type { BuiltElement } from './element';

export const trend: BuiltElement<'trend'> = { words: (e) => e.words };
