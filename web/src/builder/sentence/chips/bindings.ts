import type { Binding } from '../../../document/document.gen';
import { bindingsOf } from '../../../document/gates';
import { caseId, moveOf, ownGateOf, type WayRef } from '../wiring';
import type { ChipProps } from './chip';

type Of = ChipProps['chunk'];

/** Where the move of a chip's case stands in the gate. */
export function movePath(chunk: Of, w: WayRef): string[] {
  return ['cases', chunk.case || caseId(w), 'move'];
}

/** Where the binding of a chip stands in the gate. */
export function bindPath(chunk: Of, w: WayRef): string[] {
  return [...movePath(chunk, w), ...(chunk.among ? ['among', chunk.among] : []), 'bind', chunk.item ?? ''];
}

/** How the input of a chip gets its value. */
export function bindingOf(chunk: Of, w: WayRef): Binding | undefined {
  return bindingsOf(moveOf(w, chunk.case), chunk.among)[chunk.item ?? ''];
}

/** How an input of the shared gate gets its value. */
export function givenOf(chunk: Of, w: WayRef): Binding | undefined {
  return ownGateOf(w)?.give?.[chunk.item ?? ''];
}
