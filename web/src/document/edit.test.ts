import { describe, expect, test } from 'vitest';
import type { Document } from './document.gen';
import { at, namesOf, newId, pointer, put, text } from './edit';
import { cell } from './testProject';

const doc: Document = {
  s_a: {
    kind: 'screen',
    type: 'menu',
    title: 'A',
    slug: 'a',
    elements: { e_1: { kind: 'text', pos: 1, cell, words: 'Go' } },
  },
};

describe('operations of an edit', () => {
  test('a change is preceded by a test of what was there', () => {
    expect(put(doc, ['s_a', 'title'], 'B')).toEqual([
      { op: 'test', path: '/s_a/title', value: 'A' },
      { op: 'replace', path: '/s_a/title', value: 'B' },
    ]);
    expect(put(doc, ['s_a', 'elements', 'e_1', 'words'], undefined)).toEqual([
      { op: 'test', path: '/s_a/elements/e_1/words', value: 'Go' },
      { op: 'remove', path: '/s_a/elements/e_1/words' },
    ]);
  });

  test('what is missing on the way is made, in one operation', () => {
    expect(put(doc, ['s_a', 'elements', 'e_1', 'gate', 'cases', 'c_1'], { pos: 1 })).toEqual([
      { op: 'add', path: '/s_a/elements/e_1/gate', value: { cases: { c_1: { pos: 1 } } } },
    ]);
    expect(put(doc, ['s_b', 'title'], 'B')).toEqual([{ op: 'add', path: '/s_b', value: { title: 'B' } }]);
  });

  test('taking away what is not there does nothing', () => {
    expect(put(doc, ['s_a', 'guard'], undefined)).toEqual([]);
  });
});

test('pointers escape what they must, and are read back', () => {
  const names = ['s_a', 'a/b', 'c~d'];
  expect(pointer(names)).toBe('/s_a/a~1b/c~0d');
  expect(namesOf(pointer(names))).toEqual(names);
});

test('what is not there is nothing, and no text', () => {
  expect(at(doc, ['s_a', 'title', 'deeper'])).toBeUndefined();
  expect(text(doc, 's_a', 'elements')).toBe('');
  expect(text(doc, 's_a', 'title')).toBe('A');
});

test('ids are legal and differ', () => {
  const ids = new Set(Array.from({ length: 500 }, () => newId('e')));
  expect(ids.size).toBe(500);
  for (const id of ids) expect(id).toMatch(/^e_[a-z0-9]{8}$/);
});
