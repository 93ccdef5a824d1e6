import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Idle } from './Idle';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

function resting(after: number, warn: number) {
  const log: string[] = [];
  const page = new EventTarget();
  const is = { busy: false };
  const stop = new Idle(after, warn, {
    onLeft: (s) => log.push(s === undefined ? 'nothing' : `${s} left`),
    onRest: () => log.push('rest'),
    busy: () => is.busy,
  }).start(page);
  return { log, page, is, stop };
}

test('after so long without a touch one rests, told before by a countdown', () => {
  const { log } = resting(10, 3);
  vi.advanceTimersByTime(6500);
  expect(log).toEqual([]);
  vi.advanceTimersByTime(4000);
  expect(log).toEqual(['3 left', '2 left', '1 left', 'nothing', 'rest']);
});

test('a touch begins it anew, and takes the warning away', () => {
  const { log, page } = resting(10, 3);
  vi.advanceTimersByTime(8000);
  page.dispatchEvent(new Event('pointerdown'));
  vi.advanceTimersByTime(6000);
  expect(log).toEqual(['3 left', '2 left', 'nothing']);
});

test('what was begun is not ended, nor is a clip that runs', () => {
  const { log, page, is, stop } = resting(10, 0);
  is.busy = true;
  vi.advanceTimersByTime(30_000);
  expect(log).toEqual([]);
  is.busy = false;
  for (let i = 0; i < 10; i++) {
    vi.advanceTimersByTime(3000);
    page.dispatchEvent(new Event('timeupdate'));
  }
  expect(log).toEqual([]);
  stop();
  vi.advanceTimersByTime(60_000);
  expect(log).toEqual([]);
});

test('nobody is brought to rest twice: only a touch begins it again', () => {
  const { log, page } = resting(10, 3);
  vi.advanceTimersByTime(60_000);
  expect(log.filter((l) => l === 'rest')).toHaveLength(1);
  page.dispatchEvent(new Event('pointerdown'));
  vi.advanceTimersByTime(11_000);
  expect(log.filter((l) => l === 'rest')).toHaveLength(2);
});
