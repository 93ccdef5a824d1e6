import { expect, test } from '@playwright/test';
import type { Finding, NameInfo, WayOut } from '../web/src/api/client';
import { comparesFor, freshRow, isComplete, withCompare } from '../web/src/builder/condition/compares';
import { aliasOf } from '../web/src/builder/alias';
import { asSet, idsIn, setVerbs, verbsOf } from '../web/src/builder/rights/grants';
import { at, newId, pointer, put } from '../web/src/builder/edit';
import { numbersOf, outPlates } from '../web/src/builder/margins/plates';
import { newScreen } from '../web/src/builder/screens';
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
  const way = (element: string, target: string | undefined, kind = 'screen'): WayOut => ({ element, wiring: element, gate: '', trigger: 'release', words: element, kind, target, title: target ?? kind, glyph: 'form', how: 'view', state: 'open', now: '', verdict: { state: 'open' }, sentence: [] });

  test('ways to one target share a plate; findings come first', () => {
    const findings: Finding[] = [{ check: 'no-way-behind', severity: 'broken', screen: 's', element: 'e_3', words: 'Nothing is wired.' }];
    const plates = outPlates([way('e_1', 's_x'), way('e_2', 's_x'), way('e_3', undefined, 'none'), way('e_4', undefined, 'stay'), way('e_5', undefined, 'stay')], findings);
    expect(plates.map((p) => p.ways.map((w) => w.element))).toEqual([['e_3'], ['e_1', 'e_2'], ['e_4'], ['e_5']]);
    expect(numbersOf(plates)).toEqual({ e_3: 1, e_1: 2, e_2: 2, e_4: 3, e_5: 4 });
  });
});

test.describe('new screens', () => {
  const table = { id: 't_x', label: 'Xs', one: 'big x', view: false, fields: ['id', 'name', 'state', 'a', 'b', 'c', 'd', 'e'].map((alias) => ({ id: `f_${alias}`, alias, label: alias, type: 'text', nullable: false, readOnly: false, given: false })) };

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
    const name = (type: string, more: Partial<NameInfo> = {}): NameInfo => ({ path: 'record.x', words: 'x', type, of: 'this record', kind: 'field', ...more });
    const words = (n: NameInfo) => comparesFor(n).map(([, w]) => w);
    expect(words(name('date'))).toContain('is on or before');
    expect(words(name('decimal'))).toContain('is at least');
    expect(words(name('record'))).toEqual(['is', 'is not', 'is empty', 'is not empty']);
    expect(words(name('yesno'))).toContain('does not hold');
    expect(words(name('text', { choices: ['a'] }))).toContain('is less than'); // choices have an order
    expect(words(name('text'))).not.toContain('is less than');
    expect(words(name('number', { kind: 'live' }))).toContain('is available');
    expect(words(name('yesno', { kind: 'shared' }))).toEqual(['holds', 'does not hold']);
    expect(words(name('roles', { kind: 'roles' }))).toEqual(['is', 'is not']);
  });

  test('a changed comparison keeps the value where it fits, and a row without one is not finished', () => {
    const row = { path: 'record.state', compare: 'is', value: 'open' };
    expect(withCompare(row, 'in')).toEqual({ path: 'record.state', compare: 'in', values: ['open'] });
    expect(withCompare({ path: 'record.state', compare: 'in', values: ['open', 'closed'] }, 'is').value).toBe('open');
    expect(withCompare(row, 'empty')).toEqual({ path: 'record.state', compare: 'empty' });
    expect(isComplete({ path: 'record.state', compare: 'is', value: '' })).toBe(false);
    expect(isComplete({ path: 'record.state', compare: 'in', values: [] })).toBe(false);
    expect(isComplete({ path: 'record.state', compare: 'is', with: 'record.other' })).toBe(true);
    expect(isComplete({ group: { mode: 'any', rows: [{ path: 'a', compare: 'is', value: '' }] } })).toBe(false);
    expect(freshRow({ path: 'record.due', words: 'due', type: 'date', of: '', kind: 'field' })).toEqual({ path: 'record.due', compare: 'atMost', value: 'today()' });
  });

  test('a name for people becomes a legal one for expressions', () => {
    expect(aliasOf('In service & mine')).toBe('in_service_mine');
    expect(aliasOf('Über 3')).toBe('uber_3');
    expect(aliasOf('3 days')).toBe('c_3_days');
  });
});

test.describe('grants', () => {
  const doc = { gr_1: { kind: 'grant', role: 'r_a', table: 't_x', view: true, edit: true, hidden: { f_1: true, f_2: false } } };

  test('verbs are set, changed and taken away with the grant', () => {
    expect([...verbsOf(doc, 'gr_1')]).toEqual(['view', 'edit']);
    expect(setVerbs(doc, { id: 'gr_1', role: 'r_a', table: 't_x' }, new Set())).toEqual([{ op: 'remove', path: '/gr_1' }]);
    expect(setVerbs(doc, { id: 'gr_1', role: 'r_a', table: 't_x' }, new Set(['view', 'add'] as const)).map((o) => `${o.op} ${o.path}`)).toEqual(['add /gr_1/add', 'test /gr_1/edit', 'remove /gr_1/edit']);
    const made = setVerbs(doc, { id: undefined, role: 'r_b', table: 't_x' }, new Set(['view'] as const));
    expect(made[0]?.value).toEqual({ kind: 'grant', role: 'r_b', table: 't_x', view: true });
    expect(setVerbs(doc, { id: undefined, role: 'r_b', table: 't_x' }, new Set())).toEqual([]);
  });

  test('sets of fields', () => {
    expect(idsIn(doc, ['gr_1', 'hidden'])).toEqual(['f_1']);
    expect(idsIn(doc, ['gr_1', 'readOnly'])).toEqual([]);
    expect(asSet([])).toBeUndefined();
    expect(asSet(['f_2'])).toEqual({ f_2: true });
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
