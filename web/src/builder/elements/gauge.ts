import type { BuiltElement } from './element';

export const gauge: BuiltElement<'gauge'> = { words: (e) => e.words };
