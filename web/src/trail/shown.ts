import type { ElementView, Shown, View } from '../api/client';

/** How many dialogs and drawers lie over what is shown. */
export function depthOf(shown: Shown): number {
  return shown.overlays?.length ?? 0;
}

/** What is shown at a depth: the place itself at 0, else the dialog or drawer over it. */
export function layerOf(shown: Shown, depth: number) {
  return depth === 0 ? shown : shown.overlays?.[depth - 1];
}

/** The same with another view at a depth. */
function withView(shown: Shown, depth: number, change: (v: View) => View): Shown {
  if (depth === 0) return { ...shown, view: change(shown.view) };
  const overlays = shown.overlays?.map((o, i) => (i === depth - 1 ? { ...o, view: change(o.view) } : o));
  return { ...shown, overlays };
}

/** Newly resolved elements in the stead of those that are shown. */
export function replaced(shown: Shown, depth: number, changed: ElementView[]): Shown {
  const byId = new Map(changed.map((e) => [e.id, e]));
  return withView(shown, depth, (v) => ({ ...v, elements: v.elements.map((e) => byId.get(e.id) ?? e) }));
}

/** What came in live: elements that changed or are new, and ids of those that are gone. */
export function merged(shown: Shown, depth: number, changed: ElementView[], gone: string[] = []): Shown {
  return withView(replaced(shown, depth, changed), depth, (v) => {
    const known = new Set(v.elements.map((e) => e.id));
    const fresh = changed.filter((e) => !known.has(e.id));
    return { ...v, elements: [...v.elements.filter((e) => !gone.includes(e.id)), ...fresh] };
  });
}

/** Every element of the place itself, changed: dialogs over it have no live values of their own. */
export function mapped(shown: Shown, change: (e: ElementView) => ElementView): Shown {
  return withView(shown, 0, (v) => ({ ...v, elements: v.elements.map(change) }));
}
