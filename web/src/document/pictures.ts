import type { Document } from './document.gen';

/** Where a picture, clip or colour is used, by the titles of screens and the names of rails; each once, with how often. */
export function shownBy(d: Document, picture: string): string[] {
  return Object.values(d).flatMap((e) => {
    const name =
      e.kind === 'screen' ? e.title : e.kind === 'rail' ? e.name : e.kind === 'project' ? 'its settings' : '';
    // Where it stands as a name it is kept, not used.
    const times = name ? [...JSON.stringify(e).matchAll(new RegExp(`"${picture}"(?!:)`, 'g'))].length : 0;
    if (times === 0) return [];
    return [times > 1 ? `${name} (${times} times)` : name];
  });
}
