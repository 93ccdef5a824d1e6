import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { startTimers } from './timers';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const way = (since?: string) => ({ id: since ?? 'arrival', trigger: 'time', words: '', after: 60, since });

test('after arriving, and after the last touch, are two things', () => {
  const page = new EventTarget();
  const off: string[] = [];
  startTimers([way(), way('touch')], (id) => off.push(id) > 0, page);
  vi.advanceTimersByTime(40_000);
  page.dispatchEvent(new Event('pointermove'));
  vi.advanceTimersByTime(20_000);
  expect(off).toEqual(['arrival']);
  vi.advanceTimersByTime(39_000);
  page.dispatchEvent(new Event('keydown'));
  vi.advanceTimersByTime(59_000);
  expect(off).toEqual(['arrival']);
  vi.advanceTimersByTime(1_000);
  expect(off).toEqual(['arrival', 'touch']);
});

test('what waits for rest waits again while something lies over the screen', () => {
  let covered = true;
  const off: string[] = [];
  startTimers([way(), way('touch')], (id) => !covered && off.push(id) > 0, new EventTarget());
  vi.advanceTimersByTime(60_000);
  covered = false;
  vi.advanceTimersByTime(60_000);
  expect(off).toEqual(['touch']);
});

test('a clip that runs to its end is looked at; one that runs on and on is not', () => {
  class Clip extends EventTarget {
    constructor(readonly loop: boolean) {
      super();
    }
  }
  for (const loop of [false, true]) {
    const page = new Clip(loop); // where it comes from, here
    const off: string[] = [];
    const end = startTimers([way('touch')], (id) => off.push(id) > 0, page);
    vi.advanceTimersByTime(40_000);
    page.dispatchEvent(new Event('timeupdate'));
    vi.advanceTimersByTime(40_000);
    expect(off).toEqual(loop ? ['touch'] : []);
    end();
  }
});

test('leaving ends them', () => {
  const page = new EventTarget();
  const off: string[] = [];
  startTimers([way(), way('touch')], (id) => off.push(id) > 0, page)();
  page.dispatchEvent(new Event('keydown'));
  vi.advanceTimersByTime(600_000);
  expect(off).toEqual([]);
});
