import { api, ask, type Op } from '../api/client';
import { newId } from '../document/edit';
import { keptSteps, type Recorded } from './recorded';

/** What puts a recorded walk into the document, and the id that it gets: records are named by their titles. */
export async function keptWalk(
  project: string,
  as: string, // whom one walked as; '' for oneself
  name: string,
  pos: number,
  steps: Recorded[],
): Promise<{ id: string; patch: Op[] }> {
  const body = { as, steps: Object.values(keptSteps(steps)) };
  const named = await ask(api.POST('/api/build/{project}/walks/recorded', { params: { path: { project } }, body }));
  const id = newId('wk');
  const value = { kind: 'walk', pos, name, who: named.who, steps: keptSteps(named.steps) };
  return { id, patch: [{ op: 'add', path: `/${id}`, value }] };
}
