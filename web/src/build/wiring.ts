import { api, ask, type Op, type Proposal } from '../api/client';
import { gatePath, type ScreenDoc } from './document';
import { at, type Entities, type Json, put } from './edit';

/** Which way is edited. */
export interface WayRef {
  project: string;
  entities: Entities;
  screen: string;
  element: string;
  trigger: string;
}

/** The first case of a way's gate: its id, or the one it will get. */
export function caseId(w: WayRef): string {
  const cases = at(w.entities, [...gatePath(w.screen, w.element, w.trigger), 'cases']);
  const ids = typeof cases === 'object' && cases !== null ? Object.keys(cases) : [];
  return ids[0] ?? 'c_1';
}

export function gate(w: WayRef, ...path: string[]): Json | undefined {
  return at(w.entities, [...gatePath(w.screen, w.element, w.trigger), ...path]);
}

/** Puts something into the way's gate; undefined takes it away. */
export function putGate(w: WayRef, path: string[], value: Json | undefined): Op[] {
  return put(w.entities, [...gatePath(w.screen, w.element, w.trigger), ...path], value);
}

/** Puts the whole move of the way's first case. */
export function putMove(w: WayRef, move: Json | undefined): Op[] {
  const id = caseId(w);
  const old = gate(w, 'cases', id);
  if (old === undefined) return putGate(w, ['cases', id], { pos: 1, ...(move === undefined ? {} : { move }) });
  return putGate(w, ['cases', id, 'move'], move);
}

export function proposals(w: WayRef, target: string, input: string): Promise<Proposal[]> {
  return ask(
    api.POST('/api/build/{project}/proposals', {
      params: { path: { project: w.project } },
      body: { screen: w.screen, element: w.element, target, input },
    }),
  );
}

/**
 * The move to a screen, with its inputs bound as well as can be proposed: the record by the best
 * rule, and what narrows the target by this record, the clicked row or the chosen point.
 */
export async function moveTo(w: WayRef, target: ScreenDoc): Promise<Json> {
  const bind: Record<string, Json> = {};
  let mode: string | undefined;
  for (const input of target.inputs) {
    const best = (await proposals(w, target.id, input.id))[0];
    if (!best) continue;
    const binding = best.binding as Json | undefined;
    const rule = at(binding, ['rule']);
    if (input.required) {
      if (binding) bind[input.id] = binding;
      else if (best.mode) mode = best.mode;
    } else if (binding && (rule === 'this' || rule === 'row' || rule === 'point')) {
      bind[input.id] = binding;
    }
  }
  return {
    kind: 'screen',
    target: target.id,
    ...(Object.keys(bind).length > 0 ? { bind } : {}),
    ...(mode ? { mode } : {}),
  };
}
