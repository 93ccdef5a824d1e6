import { expect, test } from '@playwright/test';
import type { Finding, WayOut } from '../web/src/api/client';
import { comparesFor } from '../web/src/build/compares';
import { at, newId, pointer, put } from '../web/src/build/edit';
import { numbersOf, outPlates } from '../web/src/build/plates';
import { newScreen } from '../web/src/build/screens';
import type { ElementView, View } from '../web/src/api/client';
import { panelsOf, usedRows } from '../web/src/screen/layout';

// Parts of the client that need no browser.

test.describe('operations of an edit', () => {
  const doc = { s_a: { kind: 'screen', title: 'A', elements: { e_1: { words: 'Go' } } } };

  test('a change is preceded by a test of what was there', () => {
    expect(put(doc, ['s_a', 'title'], 'B')).toEqual([
      { op: 'test', path: '/s_a/title', value: 'A' },
      { op: 'replace', path: '/s_a/title', value: 'B' },
    ]);
    expect(put(doc, ['s_a', 'elements', 'e_1'], undefined)).toEqual([
      { op: 'test', path: '/s_a/elements/e_1', value: { words: 'Go' } },
      { op: 'remove', path: '/s_a/elements/e_1' },
    ]);
  });

  test('what is missing on the way is made, in one operation', () => {
    expect(put(doc, ['s_a', 'elements', 'e_1', 'gate', 'cases', 'c_1'], { pos: 1 })).toEqual([{ op: 'add', path: '/s_a/elements/e_1/gate', value: { cases: { c_1: { pos: 1 } } } }]);
    expect(put(doc, ['s_b', 'title'], 'B')).toEqual([{ op: 'add', path: '/s_b', value: { title: 'B' } }]);
  });

  test('taking away what is not there does nothing', () => {
    expect(put(doc, ['s_a', 'guard'], undefined)).toEqual([]);
  });

  test('pointers escape what they must', () => {
    expect(pointer(['s_a', 'a/b', 'c~d'])).toBe('/s_a/a~1b/c~0d');
    expect(at(doc, ['s_a', 'title', 'deeper'])).toBeUndefined();
  });

  test('ids are legal and differ', () => {
    const ids = new Set(Array.from({ length: 500 }, () => newId('e')));
    expect(ids.size).toBe(500);
    for (const id of ids) expect(id).toMatch(/^e_[a-z0-9]{8}$/);
  });
});

test.describe('plates', () => {
  const way = (element: string, target: string | undefined, kind = 'screen'): WayOut => ({ element, trigger: 'release', words: element, kind, target, title: target ?? kind, glyph: 'form', how: 'view', state: 'open', now: '', verdict: { state: 'open' }, sentence: [] });

  test('ways to one target share a plate; findings come first', () => {
    const findings: Finding[] = [{ check: 'no-way-behind', severity: 'broken', screen: 's', element: 'e_3', words: 'Nothing is wired.' }];
    const plates = outPlates([way('e_1', 's_x'), way('e_2', 's_x'), way('e_3', undefined, 'none'), way('e_4', undefined, 'stay'), way('e_5', undefined, 'stay')], findings);
    expect(plates.map((p) => p.ways.map((w) => w.element))).toEqual([['e_3'], ['e_1', 'e_2'], ['e_4'], ['e_5']]);
    expect(numbersOf(plates)).toEqual({ e_3: 1, e_1: 2, e_2: 2, e_4: 3, e_5: 4 });
  });
});

test.describe('new screens', () => {
  const table = { id: 't_x', label: 'Xs', one: 'big x', fields: ['id', 'name', 'state', 'a', 'b', 'c', 'd', 'e'].map((alias) => ({ id: `f_${alias}`, alias, label: alias, type: 'text' })) };

  test('a slug of its own, and a way back', () => {
    const made = newScreen({ s_1: { slug: 'hand-over' } }, 'Hand over!', 'menu', undefined);
    expect(at(made.body, ['slug'])).toBe('hand-over-2');
    expect(JSON.stringify(made.body)).toContain('"kind":"back"');
  });

  test('a list has columns, a form its record and fields', () => {
    const list = JSON.stringify(newScreen({}, 'All', 'list', table).body);
    expect(list).toContain('"path":"f_name"');
    expect(list).not.toContain('"path":"f_id"');
    const form = newScreen({}, 'One', 'form', table);
    const input = at(form.body, ['record']);
    expect(at(form.body, ['inputs', String(input), 'alias'])).toBe('big_x');
    expect(at(form.body, ['inputs', String(input), 'required'])).toBe(true);
  });
});

test.describe('comparisons', () => {
  test('fit the type', () => {
    const words = (type: string, choices = false) => comparesFor(type, choices).map(([, w]) => w);
    expect(words('date')).toContain('is before');
    expect(words('decimal')).toContain('is at least');
    expect(words('record')).toEqual(['is empty', 'is not empty']);
    expect(words('yesno')).toEqual(['is']);
    expect(words('text', true)).toContain('is less than'); // choices have an order
    expect(words('text')).not.toContain('is less than');
  });
});

test.describe('layout', () => {
  const element = (id: string, row: number, col: number, w: number, h?: number): ElementView => ({ id, kind: 'text', cell: { row, col, w, h }, state: 'shown' });
  const view = (elements: ElementView[]): View => ({ screen: 's', type: 'operator', title: '', heading: '', mode: 'view', place: { screen: 's', mode: 'view' }, address: '/', elements });

  test('empty rows take no room', () => {
    expect(usedRows(view([element('a', 7, 1, 2), element('b', 2, 1, 2), element('c', 7, 3, 2)]))).toEqual([2, 7]);
  });

  test('elements in the same columns, one below the other, make a panel', () => {
    const panels = panelsOf(view([element('a', 1, 1, 3), element('b', 2, 1, 3, 2), element('c', 4, 1, 3), element('d', 1, 4, 6, 4), element('e', 5, 1, 12), element('f', 7, 1, 3)]));
    expect(panels.map((p) => [p.elements.map((e) => e.id).join(''), p.row, p.h])).toEqual([
      ['abc', 1, 4],
      ['d', 1, 4],
      ['e', 5, 1],
      ['f', 7, 1],
    ]);
  });
});
