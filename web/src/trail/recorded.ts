import type { Place, Practised, PressRequest } from '../api/client';
import type { WalkStep } from '../document/document.gen';

/** A step as it is recorded: its place among the others comes when it is kept. */
export type Recorded = Omit<WalkStep, 'pos'>;

/** What was recorded so far, and where one stands by it. */
export interface Recording {
  steps: Recorded[];
  at: string | undefined; // the place that the last step led to; undefined: it is the next that is seen
  seen: string; // the place that was seen last: it may still be there for a moment after one was led on
  typed: Record<string, string>; // values that a step has typed already
}

export const begun: Recording = { steps: [], at: '', seen: '', typed: {} };

/** What tells places apart by which a walk goes. */
export function keyOf(p: Place): string {
  const inputs = Object.entries(p.inputs ?? {})
    .filter(([, v]) => v !== '')
    .sort();
  return JSON.stringify([p.screen, p.mode || 'view', inputs]);
}

const named = (keys: Record<string, string> | undefined) =>
  Object.keys(keys ?? {}).length > 0
    ? Object.fromEntries(Object.entries(keys ?? {}).map(([id, key]) => [id, { key }]))
    : undefined;

const mode = (p: Place) => (p.mode && p.mode !== 'view' ? (p.mode as 'edit' | 'add') : undefined);

function claimAt(p: Place): Recorded {
  return bare({ does: 'claim', is: 'at', screen: p.screen, mode: mode(p), inputs: named(p.inputs) });
}

/** A place that is seen: led to by what was pressed, or opened by the builder, which is a step of its own. */
export function seen(r: Recording, p: Place): Recording {
  const key = keyOf(p);
  if (r.seen === key) return r;
  if (r.at === key) return { ...r, seen: key };
  if (r.at === undefined) return { ...r, at: key, seen: key, steps: [...r.steps, claimAt(p)] };
  const open = bare({ does: 'open', screen: p.screen, mode: mode(p), inputs: named(p.inputs) });
  return { ...r, at: key, seen: key, typed: {}, steps: [...r.steps, open] };
}

/** What a press came to, as far as a walk is concerned. */
export type Done = Pick<Practised, 'kind' | 'place'>;

/** One went along the trail: where that led is claimed when it is seen. */
export function went(r: Recording, to: 'back' | 'forward' | 'home' | 'up' | 'close'): Recording {
  return { ...r, at: undefined, seen: '', typed: {}, steps: [...r.steps, { does: 'go', to }] };
}

/** What was pressed at a place, and came to something. */
export function pressed(r: Recording, request: PressRequest, at: Place, done: Done): Recording {
  const steps = [...r.steps];
  const fresh = Object.fromEntries(Object.entries(request.values ?? {}).filter(([field, v]) => r.typed[field] !== v));
  if (Object.keys(fresh).length > 0) steps.push({ does: 'type', screen: at.screen, values: fresh });
  const rows = request.rows ?? [];
  steps.push(
    bare({
      does: 'press',
      screen: at.screen,
      element: request.element,
      trigger: request.trigger || undefined,
      row: request.row ? { key: request.row } : undefined,
      rows: rows.length > 0 ? named(Object.fromEntries(rows.map((key, i) => [`r_${i + 1}`, key]))) : undefined,
      point: request.point || undefined,
      option: request.option || undefined,
      yes: request.confirmed || undefined,
      unsaved: (request.unsaved as 'save' | 'drop') || undefined,
      picked: named(request.picked),
    }),
  );
  if (done.kind === 'stayed') return { ...r, steps, typed: { ...r.typed, ...fresh } };
  if (!done.place) return { ...r, steps, at: undefined, typed: {} };
  return { ...r, steps: [...steps, claimAt(done.place)], at: keyOf(done.place), typed: {} };
}

/** A list that is looked at otherwise: narrowed, ordered, looked through; the tab that is open. */
export function looked(r: Recording, at: Place): Recording {
  const numbered = <T extends object>(mark: string, all: T[] | undefined) =>
    all && all.length > 0
      ? Object.fromEntries(all.map((one, i) => [`${mark}_${i + 1}`, { ...one, pos: i + 1 }]))
      : undefined;
  const filters = at.filters?.map(({ path, compare, value }) => ({ path, compare, ...(value && { value }) }));
  const sort = at.sort?.map(({ path, desc }) => ({ path, ...(desc && { desc }) }));
  const step = bare({
    does: 'look',
    screen: at.screen,
    find: at.find || undefined,
    filters: numbered('f', filters),
    sort: numbered('o', sort),
    tabs: Object.keys(at.tabs ?? {}).length > 0 ? at.tabs : undefined,
  });
  const last = r.steps.at(-1);
  // Who types what is looked for looks for it letter by letter: the last is meant.
  const before = last?.does === 'look' && last.screen === at.screen ? r.steps.slice(0, -1) : r.steps;
  return { ...r, steps: [...before, step] };
}

/** Without what is not there: a document has no empty parts. */
function bare(step: Recorded): Recorded {
  return Object.fromEntries(Object.entries(step).filter(([, v]) => v !== undefined)) as Recorded;
}

/** The steps as the document keeps them. */
export function keptSteps(steps: Recorded[]): Record<string, WalkStep> {
  return Object.fromEntries(
    steps.map((s, i) => [`w_${String(i + 1).padStart(3, '0')}`, { ...s, pos: i + 1 } as WalkStep]),
  );
}
