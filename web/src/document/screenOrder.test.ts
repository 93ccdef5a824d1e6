import { expect, test } from 'vitest';
import type { Document } from './document.gen';
import type { Op } from './edit';
import { neighbour, placeScreen } from './screenOrder';
import { screensOf } from './screens';

const screen = (title: string, area: string) => ({
  kind: 'screen' as const,
  type: 'menu' as const,
  title,
  slug: title,
  area,
});
const start: Document = {
  s_a: screen('Ash', 'Line'),
  s_b: screen('Birch', 'Line'),
  s_c: screen('Cedar', 'Line'),
  s_d: screen('Dogwood', 'Stock'),
};

/** The document with places and areas of screens changed. */
function apply(d: Document, ops: Op[]): Document {
  const next = structuredClone(d) as unknown as Record<string, Record<string, unknown>>;
  for (const { op, path, value } of ops) {
    const [, id = '', part = ''] = path.split('/');
    const of = next[id];
    if (!of || op === 'test') continue;
    if (op === 'remove') delete of[part];
    else of[part] = value;
  }
  return next as unknown as Document;
}

const order = (d: Document) =>
  screensOf(d)
    .map((s) => s.id.slice(2))
    .join('');
const placed = (d: Document, id: string, area: string, before?: string) => apply(d, placeScreen(d, id, area, before));

test('a screen is put before another, and stays there', () => {
  let d = placed(start, 's_c', 'Line', 's_b');
  expect(order(d)).toBe('acbd');
  d = placed(d, 's_a', 'Line', 's_b');
  expect(order(d)).toBe('cabd');
  d = placed(d, 's_b', 'Line', 's_c');
  expect(order(d)).toBe('bcad');
  d = placed(d, 's_d', 'Line', 's_a');
  expect(order(d)).toBe('bcda');
  d = placed(d, 's_b', 'Line');
  expect(order(d)).toBe('cdab');
  expect(order(placed(d, 's_c', ''))).toBe('cdab'); // no area comes first
});

test('what comes behind keeps its place', () => {
  const ops = placeScreen(start, 's_b', 'Line', 's_a');
  expect(ops.map((o) => o.path)).not.toContain('/s_c/pos');
});

test('steps up and down end at the ends', () => {
  expect(neighbour(start, 's_a', -1)).toBeUndefined();
  expect(neighbour(start, 's_b', -1)).toBe('s_a');
  expect(neighbour(start, 's_a', 1)).toBe('s_c');
  expect(neighbour(start, 's_b', 1)).toBe('');
  expect(neighbour(start, 's_c', 1)).toBeUndefined();
});
