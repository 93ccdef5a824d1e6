/** Where in the builder somebody else is. */
export interface Present {
  account: string;
  name: string;
  view: string;
  screen?: string;
  element?: string;
}

/** What this tab is known by among the builder's tabs. */
export const tab = crypto.randomUUID();

/** Under which the others are kept. */
export function hereKey(project: string) {
  return ['here', project];
}

/** The others, each once, where they most likely work: on a screen rather than elsewhere. */
export function others(here: Present[]): Present[] {
  const by = new Map<string, Present>();
  for (const p of here) {
    const had = by.get(p.account);
    if (!had || (p.screen && !had.screen)) by.set(p.account, p);
  }
  return [...by.values()];
}

/** The first letters of a name: “NL”. */
export function initials(name: string): string {
  const words = name.split(/\s+/).filter(Boolean);
  const of = words.length > 1 ? [words[0], words.at(-1)] : words;
  return of
    .map((w) => (w ?? '').charAt(0))
    .join('')
    .toUpperCase();
}

/** “Nora Lind is on Cabin”. */
export function whereWords(p: Present, titleOf: (screen: string) => string | undefined, view: string): string {
  const title = p.screen ? titleOf(p.screen) : undefined;
  if (title) return `${p.name} is on ${title}`;
  return view ? `${p.name} looks at ${view}` : `${p.name} is here`;
}
