import { expect, test } from 'vitest';
import { initials, others, type Present, whereWords } from './presence';

const at = (account: string, more: Partial<Present> = {}): Present => ({
  account,
  name: account,
  view: 'screen',
  ...more,
});

test('who has several tabs is told once, on a screen rather than elsewhere', () => {
  const all = others([at('a', { view: 'map' }), at('b'), at('a', { screen: 's_1' })]);
  expect(all.map((p) => [p.account, p.screen])).toEqual([
    ['a', 's_1'],
    ['b', undefined],
  ]);
});

test('initials are of the first and the last name', () => {
  expect(initials('Nora Lind')).toBe('NL');
  expect(initials('Bea de la Mar')).toBe('BM');
  expect(initials('cem')).toBe('C');
});

test('where somebody is is said', () => {
  const title = (s: string) => (s === 's_1' ? 'Cabin' : undefined);
  expect(whereWords(at('Nora', { screen: 's_1' }), title, 'Screen')).toBe('Nora is on Cabin');
  expect(whereWords(at('Nora', { screen: 's_gone' }), title, 'Map')).toBe('Nora looks at Map');
  expect(whereWords(at('Nora', { view: '' }), title, '')).toBe('Nora is here');
});
