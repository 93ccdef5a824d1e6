import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Hold, type HoldHands } from './Hold';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

function holding(more: Partial<HoldHands> = {}) {
  const log: string[] = [];
  const hands: HoldHands = {
    begin: async (id) => log.push(`begin ${id}`) > 0,
    renew: async (id) => {
      log.push(`renew ${id}`);
      return undefined;
    },
    letGo: async (id) => log.push(`let go ${id}`),
    onOver: (why) => log.push(`over: ${why}`),
    ...more,
  };
  let n = 0;
  return { hold: new Hold(hands, () => `p${++n}`), log };
}

test('it is said again and again that a button is held, until it is let go; once each', async () => {
  const { hold, log } = holding();
  hold.down();
  hold.down();
  await vi.advanceTimersByTimeAsync(320);
  hold.up();
  hold.up();
  await vi.advanceTimersByTimeAsync(1000);
  expect(log).toEqual(['begin p1', 'renew p1', 'renew p1', 'let go p1']);
});

test('let go before the server has answered: said at once, and once more after the answer', async () => {
  let answer = (_: boolean) => {};
  const { hold, log } = holding({ begin: () => new Promise((done) => (answer = done)) });
  hold.down();
  hold.up();
  expect(log).toEqual(['let go p1']);
  answer(true);
  await vi.advanceTimersByTimeAsync(0);
  expect(log).toEqual(['let go p1', 'let go p1']);
});

test('what did not begin, or has ended, is not gone on with; the end is told', async () => {
  const refused = holding({ begin: async () => false });
  refused.hold.down();
  await vi.advanceTimersByTimeAsync(1000);
  expect(refused.log).toEqual([]);
  const over = holding({ renew: async () => 'the line stands' });
  over.hold.down();
  await vi.advanceTimersByTimeAsync(1000);
  expect(over.log).toEqual(['begin p1', 'over: the line stands']);
  over.hold.up();
  expect(over.log).toHaveLength(2);
});

test('one word that is lost ends nothing', async () => {
  let n = 0;
  const { hold, log } = holding({
    renew: async () => {
      n++;
      throw new Error('away');
    },
  });
  hold.down();
  await vi.advanceTimersByTimeAsync(320);
  expect([n, log]).toEqual([2, ['begin p1']]);
  hold.up();
});
