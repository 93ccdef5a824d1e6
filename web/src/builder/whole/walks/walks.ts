import type { Op, WalkResult, WalkTold } from '../../../api/client';
import type { Document, WalkStep } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { entityOf, inOrder } from '../../../document/parts';

/** How a walk stands: not gone yet since the last edit, on its way, as expected, or different. */
export type Standing = 'waits' | 'goes' | 'kept' | 'differs';

export function standingOf(result: WalkResult | undefined, going: boolean): Standing {
  if (result) return result.differs ? 'differs' : 'kept';
  return going ? 'goes' : 'waits';
}

/** What is told of a walk under its name: “11 steps”, “differs at 7 of 14”. */
export function lineOf(walk: WalkTold, result: WalkResult | undefined, going: boolean): string {
  const n = walk.steps.length;
  const steps = `${n} ${n === 1 ? 'step' : 'steps'}`;
  switch (standingOf(result, going)) {
    case 'differs':
      return result?.differs?.step ? `differs at ${(result?.steps.length ?? 0) + 1} of ${n}` : 'cannot be begun';
    case 'kept':
      return `${steps}, as expected`;
    case 'goes':
      return `${steps}, on its way …`;
    default:
      return `${steps}, not gone yet`;
  }
}

/** How one step came out: done, where the walk differs, or not reached. */
export function stepState(id: string, result: WalkResult | undefined): 'done' | 'differs' | 'ahead' {
  if (result?.differs?.step === id) return 'differs';
  return result?.steps.some((s) => s.id === id) ? 'done' : 'ahead';
}

/** Takes a step out; those behind it stay as they are. */
export const stepOut = (entities: Document, walk: string, step: string): Op[] =>
  put(entities, [walk, 'steps', step], undefined);

/** Moves a step up or down past its neighbour; nothing at the end. */
export function stepMoved(entities: Document, walk: string, step: string, by: -1 | 1): Op[] {
  const steps = inOrder(entityOf(entities, walk, 'walk')?.steps);
  const at = steps.findIndex((s) => s.id === step);
  const [one, other] = [steps[at], steps[at + by]];
  if (!one || !other) return [];
  return [
    ...put(entities, [walk, 'steps', one.id, 'pos'], other.pos),
    ...put(entities, [walk, 'steps', other.id, 'pos'], one.pos),
  ];
}

/** Puts a step in, or otherwise. */
export function stepPut(entities: Document, walk: string, id: string, step: WalkStep): Op[] {
  return put(entities, [walk, 'steps', id], step);
}

/** The place behind a step and before the next; '' for before all. */
export function posAfter(steps: Record<string, WalkStep>, after: string): number {
  const all = inOrder(steps);
  const at = after === '' ? -1 : all.findIndex((s) => s.id === after);
  const [one, next] = [all[at], all[at + 1]];
  if (!next) return (one?.pos ?? 0) + 1;
  return ((one?.pos ?? next.pos - 1) + next.pos) / 2;
}

/** The screen where one most likely stands after a step: as it was gone, else where the steps before say. */
export function screenAt(
  walk: WalkTold,
  steps: Record<string, WalkStep>,
  result: WalkResult | undefined,
  after: string,
): string {
  const gone = result?.steps.find((s) => s.id === after)?.screen;
  if (gone) return gone;
  const upTo = walk.steps.slice(0, 1 + walk.steps.findIndex((s) => s.id === after));
  return upTo.map((s) => steps[s.id]?.screen).findLast(Boolean) ?? '';
}

/** The walk and the step that an address item names: walk~step; a step is only named where it is drawn. */
export function watchedIn(item: string | undefined): { walk: string | undefined; step: string | undefined } {
  const [walk, step] = (item ?? '').split('~');
  return { walk: walk || undefined, step };
}
