import type { Binding, Case, Document, Effect, Gate, Move, ScreenMove } from './document.gen';
import { at, isObject } from './edit';
import { inOrder, type Kept } from './parts';

/** The gate at a path that the server told: what stands there is a gate, or nothing. */
export function gateAt(d: Document, path: string[]): Gate | undefined {
  const found = at(d, path);
  return isObject(found) ? (found as Gate) : undefined;
}

/** The cases of a gate, in order. */
export function casesOf(gate: Gate | undefined): Kept<Case>[] {
  return inOrder(gate?.cases);
}

/** What a case does before it moves, in order. */
export function effectsOf(c: Case | undefined): Kept<Effect>[] {
  return inOrder(c?.do);
}

/** The move of a case to a screen of the project. */
export function screenMove(move: Move | undefined): ScreenMove | undefined {
  return move?.kind === 'screen' ? move : undefined;
}

/** The screen that a move leads to; of one that chooses, among which. */
export function targetOf(move: Move | undefined, among?: string): string | undefined {
  if (move?.kind === 'screen') return move.target;
  return move?.kind === 'choice' && among ? move.among[among]?.target : undefined;
}

/** How the inputs of a move's target get their values. */
export function bindingsOf(move: Move | undefined, among?: string): Record<string, Binding> {
  if (move?.kind === 'screen') return move.bind ?? {};
  return (move?.kind === 'choice' && among && move.among[among]?.bind) || {};
}
