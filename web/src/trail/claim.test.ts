import { afterEach, beforeEach, expect, test, vi } from 'vitest';

// The locks of one browser, as several tabs see them; each tab has this module for itself.
const taken = new Set<string>();
let slowness = 0; // ms until a tab hears what it asked for

type Granted = (lock: object | null) => Promise<unknown> | undefined;

async function tab() {
  vi.resetModules();
  return (await import('./claim')).claim;
}

beforeEach(() => {
  taken.clear();
  slowness = 0;
  vi.useFakeTimers();
  vi.stubGlobal('navigator', {
    locks: {
      request: async (name: string, options: { ifAvailable?: boolean; signal?: AbortSignal }, granted: Granted) => {
        const free = !taken.has(name);
        if (free) taken.add(name);
        await new Promise((done) => setTimeout(done, slowness));
        options.signal?.throwIfAborted();
        if (!free && !options.ifAvailable) return new Promise(() => {}); // it waits for its turn
        return granted(free ? {} : null);
      },
    },
  });
});

afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

/** Lets time pass until there is an answer. */
async function answer(of: Promise<boolean>) {
  await vi.advanceTimersByTimeAsync(20_000);
  return of;
}

test('one tab gets a trail, again and again; another one does not', async () => {
  const [one, two] = [await tab(), await tab()];
  expect(await answer(one('t1'))).toBe(true);
  expect(await answer(one('t1'))).toBe(true);
  expect(await answer(two('t1'))).toBe(false);
  expect(await answer(two('t2'))).toBe(true);
});

test('a browser that is slow to say so gives the claim all the same', async () => {
  slowness = 1000;
  const [one, two] = [await tab(), await tab()];
  expect(await answer(one('t1'))).toBe(true);
  expect(await answer(two('t1'))).toBe(false);
});

test('who loads the page again gets it as soon as the page before has let go', async () => {
  const again = await tab();
  taken.add('ambergate.trail.t1');
  const claimed = again('t1');
  await vi.advanceTimersByTimeAsync(120);
  taken.clear();
  expect(await answer(claimed)).toBe(true);
});

test('asked for twice at once it is one claim', async () => {
  slowness = 10;
  const one = await tab();
  expect(await answer(Promise.all([one('t1'), one('t1')]).then((all) => all.every(Boolean)))).toBe(true);
});
