import type { Op } from '../api/client';

/** A document as plain JSON: entities by id. */
export type Json = string | number | boolean | null | Json[] | { [key: string]: Json };
export type Entities = Record<string, Json>;

/** The value at a path of names, or undefined. */
export function at(root: Json | undefined, path: string[]): Json | undefined {
  let here: Json | undefined = root;
  for (const name of path) {
    if (typeof here !== 'object' || here === null || Array.isArray(here)) return undefined;
    here = here[name];
  }
  return here;
}

/**
 * Operations that put a value at a path, or take it away when it is undefined. Each change is
 * preceded by a test of what was there, so that nobody's work is overwritten unseen. Objects
 * that are missing on the way are made.
 */
export function put(entities: Entities, path: string[], value: Json | undefined): Op[] {
  const old = at(entities, path);
  if (value === undefined) {
    return old === undefined ? [] : [test(path, old), { op: 'remove', path: pointer(path) }];
  }
  if (old !== undefined) return [test(path, old), { op: 'replace', path: pointer(path), value }];
  for (let depth = 1; depth < path.length; depth++) {
    if (at(entities, path.slice(0, depth)) === undefined) {
      const rest = path.slice(depth);
      return [
        {
          op: 'add',
          path: pointer(path.slice(0, depth)),
          value: rest.reduceRight<Json>((v, name) => ({ [name]: v }), value),
        },
      ];
    }
  }
  return [{ op: 'add', path: pointer(path), value }];
}

function test(path: string[], value: Json): Op {
  return { op: 'test', path: pointer(path), value };
}

/** A JSON Pointer (RFC 6901). */
export function pointer(path: string[]): string {
  return path.map((p) => `/${p.replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');
}

/** A new id: a letter or two for the kind, and eight letters and digits. */
export function newId(kind: string): string {
  const letters = 'abcdefghijkmnpqrstuvwxyz23456789';
  const bytes = crypto.getRandomValues(new Uint8Array(8));
  return `${kind}_${Array.from(bytes, (b) => letters[b % letters.length]).join('')}`;
}
