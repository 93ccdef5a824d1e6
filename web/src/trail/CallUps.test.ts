import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { type CallUp, Refused, type Shown } from '../api/client';
import { type CallUpHands, CallUps } from './CallUps';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const up = (occurrence: number, more: Partial<CallUp> = {}): CallUp => ({
  occurrence,
  words: `gusts ${occurrence}`,
  screen: 'Wind watch',
  began: occurrence,
  ...more,
});

function called(more: Partial<CallUpHands> = {}) {
  const log: string[] = [];
  const is = { hidden: false, asking: false };
  const hands: CallUpHands = {
    hidden: () => is.hidden,
    asking: () => is.asking,
    settle: async () => log.push('settled'),
    call: async (n) => {
      log.push(`call ${n}`);
      return {} as Shown; // all that is read of it is that it is there
    },
    show: () => log.push('shown'),
    arrived: () => log.push('arrived'),
    fail: () => log.push('failed'),
    ...more,
  };
  return { ups: new CallUps(hands), log, is };
}

const soon = () => vi.advanceTimersByTimeAsync(500);

test('what is typed is kept first; then one is there, and nothing can be pressed for a moment', async () => {
  const { ups, log } = called();
  ups.come(up(1));
  await soon();
  expect(log).toEqual(['settled', 'call 1', 'shown', 'arrived']);
  expect(ups.state.came?.words).toBe('gusts 1');
});

test('a tab that nobody sees waits; so does an open question, but for what comes over it', async () => {
  const { ups, log, is } = called();
  is.hidden = true;
  ups.come(up(1));
  await soon();
  expect(log).toEqual([]);
  is.hidden = false;
  is.asking = true;
  ups.come(up(2, { high: true }));
  await soon();
  expect(log.filter((l) => l.startsWith('call'))).toEqual(['call 2']);
  is.asking = false;
  await soon();
  expect(log.filter((l) => l.startsWith('call'))).toEqual(['call 2', 'call 1']);
});

test('where one is already it is only marked; what hangs does not hold it up', async () => {
  const { ups, log } = called({ settle: () => new Promise(() => {}) });
  ups.come(up(1, { here: true }));
  await soon();
  expect(log).toEqual(['call 1']);
  ups.come(up(2));
  await vi.advanceTimersByTimeAsync(1100);
  expect(log).toEqual(['call 1', 'call 2', 'shown', 'arrived']);
});

test('one that had gone on meanwhile is told again where they are; other refusals are told', async () => {
  const no = (code: string) => new Refused({ code, what: 'No.' }, 409);
  const left = called({ call: () => Promise.reject(no('place-left')) });
  left.ups.come(up(1));
  await soon();
  expect(left.log).toEqual(['settled']);
  const other = called({ call: () => Promise.reject(no('guard')) });
  other.ups.come(up(1));
  await soon();
  expect(other.log).toEqual(['settled', 'failed']);
});
