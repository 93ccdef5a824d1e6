import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, openSync, readFileSync, rmSync } from 'node:fs';
import { test as base } from '@playwright/test';

export { expect } from '@playwright/test';

const root = new URL('..', import.meta.url).pathname;

/** A running program: where it answers, where it keeps its data, and its process. */
export interface Program {
  url: string;
  dir: string;
  pid: number;
}

/**
 * Each worker has a program of its own, with fresh demo data, for all the spec files that it runs: tests
 * of one file run one after the other, those of another see nothing of them.
 */
export const test = base.extend<{ leaves: undefined }, { program: Program; alone: boolean }>({
  // A file that leaves much behind has a program that no other file sees: `test.use({ alone: true })`.
  alone: [false, { scope: 'worker', option: true }],
  program: [
    // biome-ignore lint/correctness/noEmptyPattern: how fixtures say that they need no other
    async ({}, use, { parallelIndex, workerIndex }) => {
      const address = `127.0.0.1:${Number(process.env.E2E_PORT ?? 8097) + parallelIndex}`;
      // Another run's program would answer in place of ours, and each would change what the other sees.
      if (await fetch(`http://${address}/api/status`).catch(() => null))
        throw new Error(`something answers at ${address} already: end it, or set E2E_PORT`);
      const dir = `${root}.test/e2e-${parallelIndex}`;
      rmSync(dir, { recursive: true, force: true });
      mkdirSync(dir, { recursive: true });
      const said = `${root}.test/e2e-program-${workerIndex}.log`; // after a test that failed there is another worker
      const log = openSync(said, 'w');
      const demo = spawn(`${root}bin/ambergate`, ['demo', '--dir', dir, '--address', address], { stdio: ['ignore', log, log] });
      await answers(demo, `http://${address}`);
      await use({ url: `http://${address}`, dir, pid: demo.pid ?? 0 });
      if (demo.exitCode !== null || demo.signalCode !== null) console.error(`the program ended by itself; its last words:\n${lastWords(said)}`);
      demo.kill('SIGINT');
      if (demo.exitCode === null) await once(demo, 'exit');
    },
    { scope: 'worker', timeout: 180_000 },
  ],
  baseURL: async ({ program }, use) => use(program.url),
  // Other people's windows go with their test: they would go on, and be drawn, beside all that come after it.
  leaves: [
    async ({ browser, context }, use) => {
      await use(undefined);
      for (const other of browser.contexts()) if (other !== context) await other.close();
    },
    { auto: true },
  ],
});

const lastWords = (file: string) => readFileSync(file, 'utf8').split('\n').slice(-60).join('\n');

/** Waits until the program answers; that it ended instead is told at once. */
async function answers(demo: ChildProcess, url: string) {
  for (let i = 0; i < 400; i++) {
    if (demo.exitCode !== null) throw new Error(`the program ended with ${demo.exitCode}: see .test/e2e-program-*.log`);
    try {
      if ((await fetch(`${url}/api/status`)).ok) return;
    } catch {
      // not up yet
    }
    await new Promise((done) => setTimeout(done, 150));
  }
  throw new Error('the program did not come up');
}
