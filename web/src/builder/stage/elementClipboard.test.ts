import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Document, Element } from '../../document/document.gen';
import { copiedElement, copyElement, pasted } from './elementClipboard';

const kept = new Map<string, string>();

beforeEach(() => {
  kept.clear();
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => kept.set(k, v),
  });
});

afterEach(() => vi.unstubAllGlobals());

const button = (row: number, col: number, more = {}): Element =>
  ({ kind: 'button', pos: 1, words: 'Go', gate: {}, cell: { row, col, w: 3 }, ...more }) as Element;

const screen = (elements: Record<string, Element>) =>
  ({ s_a: { kind: 'screen', type: 'menu', title: 'A', slug: 'a', elements } }) as unknown as Document;

/** The element that an edit adds. */
const added = (d: Document, element: Element, beside?: Element) => {
  const { id, ops } = pasted(d, 's_a', element, beside);
  expect(ops).toHaveLength(1);
  expect(ops[0]?.path).toBe(`/s_a/elements/${id}`);
  return ops[0]?.value as Element & { id?: string };
};

test('what was copied comes back, and nothing where it cannot be read', () => {
  expect(copiedElement()).toBeUndefined();
  copyElement(button(1, 1));
  expect(copiedElement()).toEqual(button(1, 1));
  for (const broken of ['{', '[]', '"x"', 'null', '{"kind":"button"}', '{"kind":"button","cell":null}']) {
    kept.set('ambergate.element', broken);
    expect(copiedElement(), broken).toBeUndefined();
  }
});

test('a copy stands beside its like where there is room, else below everything', () => {
  const d = screen({ e_1: button(2, 1) });
  expect(added(d, button(2, 1), button(2, 1)).cell).toEqual({ row: 2, col: 4, w: 3 });
  const full = screen({
    e_1: button(2, 1),
    e_2: button(2, 4),
    e_3: button(5, 1, { cell: { row: 5, col: 1, w: 12, h: 4 } }),
  });
  expect(added(full, button(2, 1), button(2, 1)).cell).toEqual({ row: 9, col: 1, w: 3 });
  expect(added(screen({}), button(7, 9)).cell).toEqual({ row: 1, col: 9, w: 3 });
});

test('a copy has an id and a place of its own, and keeps its wiring', () => {
  const wired = button(1, 1, { id: 'e_old', gate: { cases: { c_1: { pos: 1, move: { kind: 'home' } } } } });
  const copy = added(screen({ e_1: button(1, 1, { pos: 7 }) }), wired);
  expect(copy.id).toBeUndefined();
  expect(copy.pos).toBe(8);
  expect(copy).toMatchObject({ gate: { cases: { c_1: { move: { kind: 'home' } } } } });
});

test('it stays in its tab on its own screen, and is there always on others', () => {
  const tabs = { kind: 'tabs', pos: 1, tabs: {}, cell: { row: 1, col: 1, w: 12 } } as unknown as Element;
  const inTab = button(2, 1, { tab: 'e_tabs.t_1' });
  expect(added(screen({ e_tabs: tabs }), inTab).tab).toBe('e_tabs.t_1');
  expect(added(screen({}), inTab).tab).toBeUndefined();
});
