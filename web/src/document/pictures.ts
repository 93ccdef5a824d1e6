import type { Document } from './document.gen';

/** Where a picture is shown, by the titles of screens and the names of rails; each once, with how often. */
export function shownBy(d: Document, picture: string): string[] {
  return Object.values(d).flatMap((e) => {
    const name =
      e.kind === 'screen' ? e.title : e.kind === 'rail' ? e.name : e.kind === 'project' ? 'its settings' : '';
    const times = name ? JSON.stringify(e).split(`"${picture}"`).length - 1 : 0;
    if (times === 0) return [];
    return [times > 1 ? `${name} (${times} times)` : name];
  });
}
