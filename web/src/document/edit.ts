import type { Document } from './document.gen';

/** One operation of a JSON Patch (RFC 6902): test, add, replace, remove. */
export interface Op {
  op: string;
  path: string;
  value?: unknown;
}

/** A part of the document that an edit puts somewhere. */
export type Part = string | number | boolean | object;

/** The value at a path of names, or undefined. */
export function at(root: unknown, path: string[]): unknown {
  let here = root;
  for (const name of path) {
    if (!isObject(here)) return undefined;
    here = here[name];
  }
  return here;
}

/** Whether a value is an object by names: neither a list nor nothing. */
export function isObject(v: unknown): v is Record<string, unknown> {
  return typeof v === 'object' && v !== null && !Array.isArray(v);
}

/** Text at a path, or "". */
export function text(root: unknown, ...path: string[]): string {
  const found = at(root, path);
  return typeof found === 'string' ? found : '';
}

/**
 * Operations that put a value at a path, or take it away when it is undefined. Each change is
 * preceded by a test of what was there, so that nobody's work is overwritten unseen. Objects
 * that are missing on the way are made.
 */
export function put(document: Document, path: string[], value: Part | undefined): Op[] {
  const old = at(document, path);
  if (value === undefined) {
    return old === undefined ? [] : [test(path, old), { op: 'remove', path: pointer(path) }];
  }
  if (old !== undefined) return [test(path, old), { op: 'replace', path: pointer(path), value }];
  for (let depth = 1; depth < path.length; depth++) {
    const missing = path.slice(0, depth);
    if (at(document, missing) !== undefined) continue;
    const whole = path.slice(depth).reduceRight<Part>((v, name) => ({ [name]: v }), value);
    return [{ op: 'add', path: pointer(missing), value: whole }];
  }
  return [{ op: 'add', path: pointer(path), value }];
}

function test(path: string[], value: unknown): Op {
  return { op: 'test', path: pointer(path), value };
}

/** A JSON Pointer (RFC 6901). */
export function pointer(path: string[]): string {
  return path.map((p) => `/${p.replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');
}

/** The names of a JSON Pointer. */
export function namesOf(pointer: string): string[] {
  const names = pointer.split('/').slice(1);
  return names.map((n) => n.replaceAll('~1', '/').replaceAll('~0', '~'));
}

/** A new id: a letter or two for the kind, and eight letters and digits. */
export function newId(kind: string): string {
  const letters = 'abcdefghijkmnpqrstuvwxyz23456789';
  const bytes = crypto.getRandomValues(new Uint8Array(8));
  return `${kind}_${Array.from(bytes, (b) => letters[b % letters.length]).join('')}`;
}
