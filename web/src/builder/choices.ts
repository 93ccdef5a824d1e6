/** One of what a picker offers. */
export interface Choice {
  id: string;
  words: string;
  note?: string;
  group?: string;
  glyph?: string;
}

/** The choices that have every word of what is looked for: those called so come before those that only note it. */
export function found<C extends Choice>(choices: C[], find: string): C[] {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return choices;
  const told = (c: Choice) => `${c.words} ${c.note ?? ''} ${c.group ?? ''}`.toLowerCase();
  const rank = (c: Choice) => {
    const name = c.words.toLowerCase();
    if (name === words.join(' ')) return -1;
    if (words.every((w) => name.startsWith(w))) return 0;
    return words.every((w) => name.includes(w)) ? 1 : 2;
  };
  return choices.filter((c) => words.every((w) => told(c).includes(w))).toSorted((a, b) => rank(a) - rank(b));
}
