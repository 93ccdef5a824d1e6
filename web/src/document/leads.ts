import type { Document, Screen } from './document.gen';
import { isObject } from './edit';
import { nameOfEntity } from './parts';
import { screensOf } from './screens';

/** How many ways lead into each screen and out of it. */
export function waysBetween(d: Document): Map<string, { in: number; out: number }> {
  const found = new Map(screensOf(d).map((s) => [s.id, { in: 0, out: 0 }]));
  for (const [id, body] of Object.entries(d)) {
    for (const target of targetsIn(body)) {
      const to = found.get(target);
      if (to && target !== id) to.in++;
      const from = found.get(id);
      if (from) from.out++;
    }
  }
  return found;
}

/** What a screen is led to from: the screens, rails, gates and roles that name it, in words. */
export function leadersTo(d: Document, screen: string): string[] {
  return Object.entries(d)
    .filter(([id, body]) => id !== screen && JSON.stringify(body).includes(`"${screen}"`))
    .map(([, body]) => nameOfEntity(body))
    .sort((a, b) => a.localeCompare(b));
}

/** The screens that the moves within a part of the document lead to, once for each way. */
export function targetsIn(part: unknown): string[] {
  if (!isObject(part)) return [];
  const own = part.kind === 'screen' && typeof part.target === 'string' ? [part.target] : [];
  const among = part.kind === 'choice' && isObject(part.among) ? Object.values(part.among) : [];
  const named = among.flatMap((t) => (isObject(t) && typeof t.target === 'string' ? [t.target] : []));
  return [...own, ...named, ...Object.values(part).flatMap(targetsIn)];
}

/** A copy of a screen under names of its own; where it led to itself, the copy leads to itself. */
export function copyOf(d: Document, screen: Screen & { id: string }, id: string): Screen {
  const { id: own, ...body } = screen;
  const title = freeOf(
    `${screen.title}, copy`,
    screensOf(d).map((s) => s.title),
    ' ',
  );
  const slug = freeOf(
    `${screen.slug}-copy`,
    screensOf(d).map((s) => s.slug),
    '-',
  );
  const text = JSON.stringify({ ...body, title, slug, oldSlugs: undefined }).replaceAll(
    `"target":"${own}"`,
    `"target":"${id}"`,
  );
  return JSON.parse(text);
}

function freeOf(wanted: string, taken: string[], joint: string): string {
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted}${joint}${n}`;
    if (!taken.includes(name)) return name;
  }
}
