import type { Op } from '../../api/client';
import { type ScreenDoc, text } from '../document';
import { type Entities, type Json, pointer } from '../edit';

/** Lets all ways to one screen lead to another: what they bring goes to its inputs of the same name or table. */
export function repoint(entities: Entities, from: ScreenDoc, to: ScreenDoc): { ops: Op[]; ways: number } {
  const match: Record<string, string> = {};
  for (const input of from.inputs) {
    const same =
      to.inputs.find((i) => i.id === input.id && i.table === input.table) ??
      to.inputs.find((i) => i.label === input.label && i.table === input.table) ??
      to.inputs.find((i) => input.table !== undefined && i.table === input.table);
    if (same) match[input.id] = same.id;
  }
  const ops: Op[] = [];
  let ways = 0;
  const seek = (v: Json, path: string[]) => {
    if (typeof v !== 'object' || v === null || Array.isArray(v)) return;
    if (text(v, 'target') === from.id && path.some((p) => p === 'move')) {
      ways++;
      const bind = v.bind as Record<string, Json> | undefined;
      const moved = Object.entries(bind ?? {}).flatMap(([id, b]) => (match[id] ? [[match[id], b] as const] : []));
      const next: Record<string, Json> = { ...v, target: to.id, ...(bind ? { bind: Object.fromEntries(moved) } : {}) };
      delete next.spot;
      ops.push({ op: 'test', path: pointer(path), value: v }, { op: 'replace', path: pointer(path), value: next });
      return;
    }
    for (const [k, x] of Object.entries(v)) seek(x, [...path, k]);
  };
  for (const [id, body] of Object.entries(entities)) seek(body, [id]);
  return { ops, ways };
}
