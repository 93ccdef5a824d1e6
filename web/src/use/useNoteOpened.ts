import { useEffect } from 'react';
import { noteOpened } from '../trail/cameFrom';

/** Watches for links that are opened in a new tab, by whichever mouse button or key. */
export function useNoteOpened(from: { trail: string; n: number } | undefined) {
  useEffect(() => {
    if (!from) return;
    const note = (e: MouseEvent) => {
      const aside = e.type !== 'click' || e.ctrlKey || e.metaKey || e.shiftKey;
      const link = e.target instanceof Element ? e.target.closest('a') : null;
      if (aside && link?.pathname.startsWith('/use/')) noteOpened(link.pathname + link.search, from);
    };
    const kinds = ['click', 'auxclick', 'contextmenu'] as const;
    for (const kind of kinds) document.addEventListener(kind, note, true);
    return () => {
      for (const kind of kinds) document.removeEventListener(kind, note, true);
    };
  }, [from]);
}
