import { api, ask, type Proposal } from '../../api/client';
import type { Binding, ScreenMove } from '../../document/document.gen';
import { entityOf } from '../../document/parts';
import { inputsOf, type ScreenDoc } from '../../document/screens';
import type { WayRef } from './wiring';

/** How an input of a target can get its value; outside: what the screen can give, not what a shared gate was given. */
export function proposals(w: WayRef, target: string, input: string, outside = false): Promise<Proposal[]> {
  const { project, screen, element, trigger } = w;
  const inside = w.shared !== undefined && !outside;
  return ask(
    api.POST('/api/build/{project}/proposals', {
      params: { path: { project } },
      body: { screen, element, trigger, target, input, inside },
    }),
  );
}

/** What proposals are kept under while a picker is open. */
export function proposalsKey(w: WayRef, ...of: unknown[]) {
  return ['proposals', w.project, w.screen, w.element, w.trigger, ...of];
}

/** What narrows a target by itself: this record, the chosen row, the chosen point. */
const narrowing = ['this', 'row', 'point'];

/**
 * The move to a screen, with its inputs bound as well as can be proposed: the record by the best
 * rule, and what narrows the target by this record, the chosen row or the chosen point.
 */
export async function moveTo(w: WayRef, target: ScreenDoc): Promise<ScreenMove> {
  const bind: Record<string, Binding> = {};
  let mode: ScreenMove['mode'];
  for (const input of inputsOf(target)) {
    const [best] = await proposals(w, target.id, input.id);
    const binding = best?.binding;
    if (!input.required) {
      if (binding && narrowing.includes(binding.rule)) bind[input.id] = binding;
    } else if (binding) bind[input.id] = binding;
    else if (best?.mode === 'add') mode = 'add';
  }
  return {
    kind: 'screen',
    target: target.id,
    ...(Object.keys(bind).length > 0 ? { bind } : {}),
    ...(mode ? { mode } : {}),
  };
}

/** What a shared gate is given at first: the best that can be proposed for each of its inputs. */
export async function givenTo(w: WayRef, shared: string): Promise<Record<string, Binding>> {
  const give: Record<string, Binding> = {};
  for (const input of inputsOf(entityOf(w.entities, shared, 'gate'))) {
    const best = (await proposals(w, shared, input.id, true)).find((x) => x.binding);
    if (best?.binding) give[input.id] = best.binding;
  }
  return give;
}
