import type { Op } from '../../../api/client';
import type { Binding, Document, ScreenMove, Target } from '../../../document/document.gen';
import { isObject, pointer } from '../../../document/edit';
import { inputsOf, type ScreenDoc } from '../../../document/screens';

/** Lets all ways to one screen lead to another: what they bring goes to its inputs of the same name or table. */
export function repoint(entities: Document, from: ScreenDoc, to: ScreenDoc): { ops: Op[]; ways: number } {
  const match = matching(from, to);
  const ops: Op[] = [];
  let ways = 0;
  const seek = (v: unknown, path: string[]) => {
    if (!isObject(v)) return;
    if (leadsTo(v, from.id) && path.includes('move')) {
      ways++;
      ops.push({ op: 'test', path: pointer(path), value: v });
      ops.push({ op: 'replace', path: pointer(path), value: led(v, to.id, match) });
      return;
    }
    for (const [k, x] of Object.entries(v)) seek(x, [...path, k]);
  };
  for (const [id, body] of Object.entries(entities)) seek(body, [id]);
  return { ops, ways };
}

/** The inputs of one screen that stand for those of another. */
function matching(from: ScreenDoc, to: ScreenDoc): Record<string, string> {
  const theirs = inputsOf(to);
  const match: Record<string, string> = {};
  for (const input of inputsOf(from)) {
    const same =
      theirs.find((i) => i.id === input.id && i.table === input.table) ??
      theirs.find((i) => i.label === input.label && i.table === input.table) ??
      theirs.find((i) => input.table !== undefined && i.table === input.table);
    if (same) match[input.id] = same.id;
  }
  return match;
}

/** What leads to a screen inside of a move: the move itself, or one of those that it chooses among. */
function leadsTo(v: object, screen: string): v is ScreenMove | Target {
  return 'target' in v && v.target === screen;
}

function led(v: ScreenMove | Target, target: string, match: Record<string, string>): ScreenMove | Target {
  const bind = Object.entries(v.bind ?? {}).flatMap(([id, b]): [string, Binding][] =>
    match[id] ? [[match[id], b]] : [],
  );
  const next = { ...v, target, ...(v.bind ? { bind: Object.fromEntries(bind) } : {}) };
  if ('spot' in next) delete next.spot;
  return next;
}
