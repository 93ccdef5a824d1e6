import type { Op } from '../../document/edit';
import { put } from '../../document/edit';
import { useBuild } from '../context';

interface Placed {
  id: string;
  pos: number;
}

/** What changes for elements that stand in parts of a block: tabs, or steps. */
export function usePlacedIn(path: string[]) {
  const { entities } = useBuild();
  const [screen = '', , id = ''] = path;
  const on = entities[screen];
  const all = on?.kind === 'screen' ? Object.entries(on.elements ?? {}) : [];
  return {
    /** What stood in a part that is removed stands always again. */
    freed: (part: string): Op[] =>
      all
        .filter(([, e]) => e.tab === `${id}.${part}`)
        .flatMap(([e]) => put(entities, [screen, 'elements', e, 'tab'], undefined)),
    /** Two parts change their places. */
    swapped: (of: string, a: Placed | undefined, b: Placed | undefined): Op[] =>
      a && b
        ? [...put(entities, [...path, of, a.id, 'pos'], b.pos), ...put(entities, [...path, of, b.id, 'pos'], a.pos)]
        : [],
  };
}
