import type { BuiltElement } from './element';

export const field: BuiltElement<'field'> = { words: (e) => e.label || e.path.replace(/^f_/, ''), changes: true };
