import { Refused } from '../api/client';

const tries = 15;
const between = 2000; // ms

/** Sends again while nobody answers: what is sent carries its own id, so that twice does nothing twice. */
export async function insistently<T>(
  call: () => Promise<T>,
  wait: (ms: number) => Promise<void> = (ms) => new Promise((done) => setTimeout(done, ms)),
): Promise<T> {
  for (let left = tries; ; left--) {
    try {
      return await call();
    } catch (e) {
      if (!(e instanceof Refused) || !e.away || left === 0) throw e;
      await wait(between);
    }
  }
}
