import type { Op } from '../../../../api/client';
import { newId } from '../../../../document/edit';
import { effectsOf } from '../../../../document/gates';
import { posBehind } from '../../../../document/parts';
import { caseId, caseOf, putGate, type WayRef } from '../../wiring';
import type { Body } from '../effect';

/** Puts an effect into a case, which is made if it is not there; undefined takes it away. */
export function putEffect(w: WayRef, of: string | undefined, id: string, effect: object | undefined): Op[] {
  const named = of || caseId(w);
  if (!caseOf(w, named) && effect) return putGate(w, ['cases', named], { pos: 1, do: { [id]: effect } });
  return putGate(w, ['cases', named, 'do', id], effect);
}

/** Adds an effect behind those that a case has. */
export function addEffect(w: WayRef, of: string | undefined, body: Body): Op[] {
  const named = of || caseId(w);
  return putEffect(w, named, newId('d'), { ...body, pos: posBehind(effectsOf(caseOf(w, named))) });
}
