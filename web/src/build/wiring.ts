import { api, ask, type Op, type Proposal } from '../api/client';
import { gatePath, type ScreenDoc, type TableDoc } from './document';
import { at, type Entities, type Json, newId, put } from './edit';

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

/** A new screen of a kind: a list with its first columns, a form with its fields, with a way back. */
export function newScreen(
  entities: Entities,
  title: string,
  kind: string,
  table: TableDoc | undefined,
): { id: string; body: Json } {
  const id = newId('s');
  const back: Json = {
    kind: 'button',
    pos: 90,
    cell: { row: 30, col: 1, w: 2 },
    words: 'Back',
    gate: { cases: { c_1: { pos: 1, move: { kind: 'back' } } } },
  };
  const elements: Record<string, Json> = { [newId('e')]: back };
  const body: Record<string, Json> = {
    kind: 'screen',
    type: kind,
    title,
    heading: title,
    slug: freeSlug(entities, title),
    elements,
  };
  if (table && kind === 'list') {
    const columns = Object.fromEntries(
      table.fields
        .filter((f) => f.alias !== 'id')
        .slice(0, 6)
        .map((f, i) => [`k_${i + 1}`, { pos: i + 1, path: f.id }]),
    );
    elements[newId('e')] = { kind: 'list', pos: 1, cell: { row: 1, col: 1, w: 12, h: 10 }, table: table.id, columns };
  }
  if (table && kind === 'form') {
    const input = newId('i');
    body.record = input;
    body.inputs = {
      [input]: {
        pos: 1,
        alias: table.one.replaceAll(/\W+/g, '_'),
        label: capital(table.one),
        type: 'record',
        table: table.id,
        required: true,
      },
    };
    table.fields
      .filter((f) => f.alias !== 'id')
      .slice(0, 12)
      .forEach((f, i) => {
        elements[newId('e')] = {
          kind: 'field',
          pos: i + 1,
          cell: { row: 1 + Math.floor(i / 3), col: 1 + (i % 3) * 4, w: 4 },
          path: f.id,
        };
      });
  }
  return { id, body };
}

/** A slug that no screen has: letters, digits and hyphens of the title. */
function freeSlug(entities: Entities, title: string): string {
  const base =
    title
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-|-$/g, '') || 'screen';
  const taken = new Set(Object.values(entities).map((e) => at(e, ['slug'])));
  let slug = base;
  for (let i = 2; taken.has(slug); i++) slug = `${base}-${i}`;
  return slug;
}

export function capital(s: string): string {
  return s.charAt(0).toUpperCase() + s.slice(1);
}
