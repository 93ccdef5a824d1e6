import { expect, test } from 'vitest';
import type { Document, Screen } from './document.gen';
import { copyOf, leadersTo, waysBetween } from './leads';

const to = (target: string) => ({ cases: { c_1: { pos: 1, move: { kind: 'screen', target } } } });
const d = {
  s_a: {
    kind: 'screen',
    type: 'menu',
    title: 'A',
    slug: 'a',
    elements: { e_1: { kind: 'button', gate: to('s_b') }, e_2: { kind: 'button', gate: to('s_a') } },
  },
  s_b: {
    kind: 'screen',
    type: 'form',
    title: 'B',
    slug: 'b',
    ways: {
      w_1: {
        gate: { cases: { c_1: { move: { kind: 'choice', among: { x: { target: 's_a' }, y: { target: 's_b' } } } } } },
      },
    },
  },
  r_1: { kind: 'role', name: 'Staff', start: 's_a', pos: 1 },
  ra_1: { kind: 'rail', name: 'Left', elements: { e_3: { kind: 'button', gate: to('s_b') } } },
} as unknown as Document;

test('ways into and out of screens are counted, one to itself only out of it', () => {
  expect(Object.fromEntries(waysBetween(d))).toEqual({ s_a: { in: 1, out: 2 }, s_b: { in: 2, out: 2 } });
});

test('what names a screen is told before it is removed', () => {
  expect(leadersTo(d, 's_a')).toEqual(['B', 'Staff']);
  expect(leadersTo(d, 's_b')).toEqual(['A', 'Left']);
});

test('a copy has names of its own and leads to itself where the screen did', () => {
  const copy = copyOf(d, { ...(d.s_a as Screen), id: 's_a' }, 's_new');
  expect([copy.title, copy.slug]).toEqual(['A, copy', 'a-copy']);
  expect(JSON.stringify(copy)).toContain('"target":"s_new"');
  expect(JSON.stringify(copy)).toContain('"target":"s_b"');
  expect(
    copyOf(
      { ...d, s_c: { ...(d.s_a as Screen), title: 'A, copy', slug: 'a-copy' } },
      { ...(d.s_a as Screen), id: 's_a' },
      's_n',
    ).title,
  ).toBe('A, copy 2');
});
