import type { Op } from '../../api/client';
import { at, type Json, newId } from '../edit';
import { gate, putGate, type WayRef } from './wiring';

/** The cases of a way's gate, in order. */
export function casesOf(w: WayRef): { id: string; body: Json }[] {
  const all = gate(w, 'cases');
  if (typeof all !== 'object' || all === null || Array.isArray(all)) return [];
  const pos = (body: Json) => Number(at(body, ['pos']) ?? 0);
  return Object.entries(all)
    .map(([id, body]) => ({ id, body }))
    .sort((a, b) => pos(a.body) - pos(b.body));
}

/** A further case for when a condition holds: before the one that holds in every other case. */
export function addCase(w: WayRef, when: string): Op[] {
  const cases = casesOf(w);
  const open = cases.findIndex((c) => at(c.body, ['when']) === undefined);
  const before = open < 0 ? cases.length : open;
  const pos = (i: number) => Number(at(cases[i]?.body, ['pos']) ?? i + 1);
  const here =
    before === 0
      ? cases.length
        ? pos(0) - 1
        : 1
      : open < 0
        ? pos(before - 1) + 1
        : (pos(before - 1) + pos(before)) / 2;
  return putGate(w, ['cases', newId('c')], { pos: here, when });
}
