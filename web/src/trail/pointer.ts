/** What the browser's own history holds: a pointer to a place of the server's trail, and how many dialogs lie over it. */
export interface Pointer {
  trail: string;
  n: number;
  depth?: number;
}

const fork = (trail: string) => `ambergate.fork.${trail}`;

/** Reads a pointer from what a history entry holds; kept tells what the tab keeps. */
export function pointerOf(state: unknown, kept: (name: string) => string | undefined): Pointer | undefined {
  if (typeof state !== 'object' || state === null || !('trail' in state) || !('n' in state)) return undefined;
  if (typeof state.trail !== 'string' || typeof state.n !== 'number') return undefined;
  const depth = 'depth' in state && typeof state.depth === 'number' ? state.depth : 0;
  return { trail: kept(fork(state.trail)) ?? state.trail, n: state.n, depth };
}

/**
 * Notes that this tab goes its own way: entries of its history that were made before the tab was
 * duplicated point to the other's trail, and mean the same places of its own.
 */
export function noteFork(of: string, own: string, keep: (name: string, value: string) => void) {
  keep(fork(of), own);
}

/** What this tab keeps over a reload. */
export const keptByTab = (name: string) => sessionStorage.getItem(name) ?? undefined;

/** The pointer of the entry that the browser stands on. */
export function pointerHere(): Pointer | undefined {
  return pointerOf(window.history.state?.usr, keptByTab);
}
