import { expect, test } from 'vitest';

// The folders of the client from the ground up: each may use those before it.
const floors = ['document', 'api', 'ui', 'trail', 'screen', 'use', 'administer', 'builder'];

const all = import.meta.glob<string>('./**/*.{ts,tsx}', { query: '?raw', import: 'default', eager: true });
const sources = Object.entries(all).filter(([file]) => !/\.test\.ts$|\.gen\.d\.ts$/.test(file));

/** The folder of a file like ./screen/list/ListRow.tsx. */
const folderOf = (file: string) => file.split('/')[1] ?? '';

/** Where a relative import leads to. */
function resolved(from: string, to: string): string {
  const path = from.split('/').slice(0, -1);
  for (const part of to.split('/')) {
    if (part === '..') path.pop();
    else if (part !== '.') path.push(part);
  }
  return path.join('/');
}

test('no folder uses one above it', () => {
  const up = sources.flatMap(([file, text]) => {
    const own = floors.indexOf(folderOf(file));
    if (own < 0) return []; // what puts the page together
    return [...text.matchAll(/(?:from |import\()'(\.[^']*)'/g)]
      .map((m) => resolved(file, m[1] ?? ''))
      .filter((to) => floors.indexOf(folderOf(to)) > own)
      .map((to) => `${file} uses ${to}`);
  });
  expect(up).toEqual([]);
});

test('what is below the page knows no React', () => {
  const plain = ['document', 'api', 'trail'];
  const react = sources.filter(([f, text]) => plain.includes(folderOf(f)) && /from '(react|@chakra-ui)/.test(text));
  expect(react.map(([f]) => f)).toEqual([]);
});

test('every folder stands on a floor', () => {
  expect(sources.length).toBeGreaterThan(200);
  const folders = new Set(
    sources
      .map(([f]) => f)
      .filter((f) => f.split('/').length > 2)
      .map(folderOf),
  );
  expect([...folders].sort()).toEqual([...floors].sort());
});
