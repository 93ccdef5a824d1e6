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
  return { trail: sessionStorage.getItem(fork(state.trail)) ?? state.trail, n: state.n, depth };
}

const fork = (trail: string) => `ambergate.fork.${trail}`;

/**
 * Notes that this tab goes its own way: entries of its history that were made before the tab was
 * duplicated point to the other's trail, and mean the same places of its own.
 */
export function noteFork(of: string, own: string) {
  sessionStorage.setItem(fork(of), own);
}

/** The pointer of the entry that the browser stands on. */
export function pointerHere(): Pointer | undefined {
  return pointerOf(window.history.state?.usr);
}

/** How many dialogs and drawers lie over what is shown. */
export function depthOf(shown: Shown): number {
  return shown.overlays?.length ?? 0;
}
