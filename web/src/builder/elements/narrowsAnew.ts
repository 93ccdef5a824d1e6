import { api, ask } from '../../api/client';
import type { ChartElement, Document } from '../../document/document.gen';
import { type Op, put } from '../../document/edit';
import { entityOf } from '../../document/parts';
import { fieldAlong } from '../../document/tables';

/** Whether the points of a chart narrow the screen that it stands on. */
export function narrowsOwn(screen: string, e: Pick<ChartElement, 'chosen'>): boolean {
  return Object.values(e.chosen?.cases ?? {}).some(
    ({ move }) =>
      move?.kind === 'screen' &&
      move.target === screen &&
      Object.values(move.bind ?? {}).some((b) => b.rule === 'point'),
  );
}

/**
 * What a chart narrows its screen by once it counts by another field: as the program would propose it for a new one;
 * nothing where it would not, since by what it was narrowed before it cannot be any more.
 */
export async function narrowsAnew(
  project: string,
  d: Document,
  path: string[],
  table: string,
  by: string,
): Promise<Op[]> {
  const [screen = ''] = path;
  const words = `chart ${entityOf(d, table, 'table')?.label ?? ''} ${fieldAlong(d, table, by)?.label ?? ''}`;
  const offers = await ask(
    api.POST('/api/build/{project}/cells', {
      params: { path: { project } },
      body: { screen, row: 1, col: 1, words, element: 'e_anew' },
    }),
  );
  const patch = offers.find((o) => o.id === `chart:${table}.${by}`)?.patch ?? [];
  const own = patch.find((o) => o.path === `/${screen}/elements/e_anew`)?.value as Partial<ChartElement> | undefined;
  const inputs = patch.filter((o) => o.path.startsWith(`/${screen}/inputs`));
  return [...(own?.chosen ? (inputs as Op[]) : []), ...put(d, [...path, 'chosen'], own?.chosen)];
}
