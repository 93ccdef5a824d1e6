import { afterEach, expect, test, vi } from 'vitest';
import { Refused } from './client';
import { askFile } from './file';

afterEach(() => vi.unstubAllGlobals());

const answers = (answer: () => Response) => vi.stubGlobal('fetch', async () => answer());
const why = (e: unknown) => (e instanceof Refused ? e.problem.what : e);

test('a file comes with its name', async () => {
  const headers = { 'Content-Disposition': 'attachment; filename=defects-2026-11-30.csv' };
  answers(() => new Response('Code\r\nD-1\r\n', { headers }));
  const { name, content } = await askFile('/csv');
  expect([name, await content.text()]).toEqual(['defects-2026-11-30.csv', 'Code\r\nD-1\r\n']);
});

test('a no is told in its words; so is that nobody answers, and what breaks off', async () => {
  answers(() => Response.json({ code: 'too-much', what: 'This list is too long for a file.' }, { status: 400 }));
  expect(await askFile('/csv').catch(why)).toBe('This list is too long for a file.');
  answers(() => new Response('<html>', { status: 502 }));
  expect(await askFile('/csv').catch(why)).toBe('The server does not answer.');
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('failed to fetch')));
  expect(await askFile('/csv').catch(why)).toBe('The server does not answer.');
  answers(() => new Response(new ReadableStream({ pull: (to) => to.error(new Error('gone')) })));
  expect(await askFile('/csv').catch(why)).toBe('The file broke off before its end.');
});
