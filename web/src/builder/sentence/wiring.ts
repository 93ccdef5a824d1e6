import { api, ask, type Op, type Proposal, type WayOut } from '../../api/client';
import type { BuildHands } from '../context';
import type { ScreenDoc } from '../document';
import { at, type Entities, type Json, put } from '../edit';

/** Which way is edited. */
export interface WayRef {
  project: string;
  entities: Entities;
  screen: string;
  element: string;
  trigger: string;
  at: string[]; // where its gate stands in its element
  wiring: string[]; // where it says what happens: there, or in the shared gate
  shared?: string; // the shared gate
}

/** The names of a JSON Pointer (RFC 6901). */
export function namesOf(pointer: string): string[] {
  return pointer
    .split('/')
    .slice(1)
    .map((n) => n.replaceAll('~1', '/').replaceAll('~0', '~'));
}

/** What the pickers of a way edit. */
export function refOf(b: Pick<BuildHands, 'project' | 'entities' | 'screen'>, way: WayOut): WayRef {
  const own = namesOf(way.gate);
  return {
    project: b.project,
    entities: b.entities,
    screen: b.screen,
    element: way.element,
    trigger: way.trigger,
    at: own,
    wiring: namesOf(way.wiring),
    shared: way.shared?.id,
  };
}

/** The first case of a way's gate: its id, or the one it will get. */
export function caseId(w: WayRef): string {
  const cases = at(w.entities, [...w.wiring, 'cases']);
  const ids = typeof cases === 'object' && cases !== null ? Object.keys(cases) : [];
  return ids[0] ?? 'c_1';
}

export function gate(w: WayRef, ...path: string[]): Json | undefined {
  return at(w.entities, [...w.wiring, ...path]);
}

/** Puts something into the way's gate; undefined takes it away. */
export function putGate(w: WayRef, path: string[], value: Json | undefined): Op[] {
  return put(w.entities, [...w.wiring, ...path], value);
}

/** Takes a way out of the document: an entry of a menu goes whole, of others the gate. */
export function takeOut(w: WayRef): Op[] {
  const whole = /^(menu|several)\./.test(w.trigger) || w.at[1] === 'ways';
  return put(w.entities, whole ? w.at.slice(0, -1) : w.at, undefined);
}

/** What a condition or value of the way may speak of: inside a shared gate only of what that is given. */
export function spotOf(w: WayRef, as: string) {
  return { project: w.project, as, screen: w.shared ?? w.screen, element: w.shared ? undefined : w.element };
}

/** Puts the whole move of a case of the way, the first if none is named. */
export function putMove(w: WayRef, move: Json | undefined, id = caseId(w)): Op[] {
  const old = gate(w, 'cases', id);
  if (old === undefined) return putGate(w, ['cases', id], { pos: 1, ...(move === undefined ? {} : { move }) });
  return putGate(w, ['cases', id, 'move'], move);
}

/** How an input of a target can get its value; outside: what the screen can give, not what a shared gate was given. */
export function proposals(w: WayRef, target: string, input: string, outside = false): Promise<Proposal[]> {
  return ask(
    api.POST('/api/build/{project}/proposals', {
      params: { path: { project: w.project } },
      body: {
        screen: w.screen,
        element: w.element,
        trigger: w.trigger,
        target,
        input,
        inside: w.shared !== undefined && !outside,
      },
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
