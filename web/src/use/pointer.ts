import type { Shown } from '../api/client';

/** What the browser's own history holds: a pointer to a place of the server's trail, and how many dialogs lie over it. */
export interface Pointer {
  trail: string;
  n: number;
  depth?: number;
}

/** Reads a pointer from what a history entry holds. */
export function pointerOf(state: unknown): Pointer | undefined {
  if (typeof state !== 'object' || state === null || !('trail' in state) || !('n' in state)) return undefined;
  if (typeof state.trail !== 'string' || typeof state.n !== 'number') return undefined;
  const depth = 'depth' in state && typeof state.depth === 'number' ? state.depth : 0;
  return { trail: state.trail, n: state.n, depth };
}

/** The pointer of the entry that the browser stands on. */
export function pointerHere(): Pointer | undefined {
  return pointerOf(window.history.state?.usr);
}

/** How many dialogs and drawers lie over what is shown. */
export function depthOf(shown: Shown): number {
  return shown.overlays?.length ?? 0;
}
