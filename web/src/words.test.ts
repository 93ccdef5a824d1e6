import { expect, test } from 'vitest';

// What a machine can tell of the texts of the interface: their quotes, and one word for one thing.

const all = import.meta.glob<string>('./**/*.tsx', { query: '?raw', import: 'default', eager: true });
const sources = Object.entries(all).filter(([file]) => !file.endsWith('.test.tsx'));

/** What people read in a source: text between tags, and what labels, titles and placeholders say. */
function textsOf(source: string): string[] {
  const code = source.replaceAll(/\/\*[\s\S]*?\*\/|\/\/[^\n]*/g, '');
  const between = [...code.matchAll(/>\s*([^<>{}=;()]*[a-z][^<>{}=;()]*?)\s*</g)].map((m) => m[1] ?? '');
  const said = [...code.matchAll(/(?:aria-label|title|placeholder|label|words|lead|none)="([^"]+)"/g)].map(
    (m) => m[1] ?? '',
  );
  return [...between, ...said].map((t) => t.replaceAll(/\s+/g, ' ').trim()).filter((t) => / |^[A-Z]/.test(t));
}

const texts = sources.flatMap(([file, source]) => textsOf(source).map((text) => ({ file, text })));
const like = (wrong: RegExp) =>
  texts.filter(({ text }) => wrong.test(text)).map(({ file, text }) => `${file}: ${text}`);

test('texts are found at all', () => {
  expect(texts.length).toBeGreaterThan(200);
  expect(texts.map((t) => t.text)).toContain('Sign out');
});

test('quotes and apostrophes are curly', () => {
  expect(like(/[a-z]'[a-z]|"[^"]*"/)).toEqual([]);
});

test('three dots are one sign', () => {
  expect(like(/\.\.\./)).toEqual([]);
});

test('one word for one thing', () => {
  // Giving up is always “Cancel”, taking away “Remove”; nobody leaves or forgets it.
  expect(like(/^(Leave it|Forget it|Stay here|Abort|Never mind|Delete it)$/)).toEqual([]);
  expect(like(/\b(sign|log)[- ]?(on|in to)\b|\blogin\b|\blog ?out\b/i)).toEqual([]);
  expect(like(/\bcolour scheme|\btheme\b/i)).toEqual([]);
  // Screens stand in areas; a folder is one of a plant (OPC UA).
  expect(like(/\bfolder/i).filter((found) => !/^\S*plant/i.test(found))).toEqual([]);
  expect(like(/\bprojects?\b/i)).toEqual([]); // users and builders speak of an application
  // One presses, a way brings, a mark of a chart is a point; a view is a mode, a list under a name is kept.
  expect(like(/\bclick|\bcarr(y|ies|ied)\b|\bbars?\b|\bviews\b|\bdecimal|\btake (it|this|that) (out|away)\b/i)).toEqual(
    [],
  );
});

test('buttons that save or cancel begin with a capital', () => {
  expect(like(/^(save|cancel|release|undo|redo)$/)).toEqual([]);
});
