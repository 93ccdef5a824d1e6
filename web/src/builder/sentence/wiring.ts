import type { Op, WayOut } from '../../api/client';
import type { Case, Document, Gate, Move } from '../../document/document.gen';
import { namesOf, type Part, put } from '../../document/edit';
import { casesOf, gateAt } from '../../document/gates';
import type { BuildHands } from '../context';

/** Which way is edited. */
export interface WayRef {
  project: string;
  entities: Document;
  screen: string;
  element: string;
  trigger: string;
  at: string[]; // where its gate stands in its element
  wiring: string[]; // where it says what happens: there, or in the shared gate
  shared?: string; // the shared gate
}

/** What the pickers of a way edit. */
export function refOf(b: Pick<BuildHands, 'project' | 'entities' | 'screen'>, way: WayOut): WayRef {
  return {
    project: b.project,
    entities: b.entities,
    screen: b.screen,
    element: way.element,
    trigger: way.trigger,
    at: namesOf(way.gate),
    wiring: namesOf(way.wiring),
    shared: way.shared?.id,
  };
}

/** The gate that says what happens: the way's own, or the shared one. */
export function gateOf(w: WayRef): Gate | undefined {
  return gateAt(w.entities, w.wiring);
}

/** The gate of the way itself, which may only say which shared one it goes through. */
export function ownGateOf(w: WayRef): Gate | undefined {
  return gateAt(w.entities, w.at);
}

/** The first case of a way's gate: its id, or the one it will get. */
export function caseId(w: WayRef): string {
  return Object.keys(gateOf(w)?.cases ?? {})[0] ?? 'c_1';
}

/** A case of the way, the first if none is named. */
export function caseOf(w: WayRef, id: string | undefined): Case | undefined {
  return gateOf(w)?.cases?.[id || caseId(w)];
}

/** The move of a case of the way. */
export function moveOf(w: WayRef, id: string | undefined): Move | undefined {
  return caseOf(w, id)?.move;
}

/** Puts something into the way's gate; undefined takes it away. */
export function putGate(w: WayRef, path: string[], value: Part | undefined): Op[] {
  return put(w.entities, [...w.wiring, ...path], value);
}

/** Puts something into the move of a case. */
export function putInMove(w: WayRef, id: string | undefined, path: string[], value: Part | undefined): Op[] {
  return putGate(w, ['cases', id || caseId(w), 'move', ...path], value);
}

/** Puts the whole move of a case of the way. */
export function putMove(w: WayRef, move: Move | undefined, id?: string): Op[] {
  const named = id || caseId(w);
  if (caseOf(w, named)) return putInMove(w, named, [], move);
  const made: Case = { pos: 1, ...(move ? { move } : {}) };
  return putGate(w, ['cases', named], made);
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

/** The position of a further case: before the one that holds in every other case. */
export function casePos(w: WayRef): number {
  const cases = casesOf(gateOf(w));
  const open = cases.findIndex((c) => c.when === undefined);
  const [before, behind] = open < 0 ? [cases.at(-1), undefined] : [cases[open - 1], cases[open]];
  if (before && behind) return (before.pos + behind.pos) / 2;
  if (before) return before.pos + 1;
  return behind ? behind.pos - 1 : 1;
}
