import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Live } from './Live';
import type { Source } from './Stream';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

function stream() {
  const opened: { say: (name: string, data?: string) => void; closed: boolean }[] = [];
  const open = (): Source => {
    const hears = new Map<string, (e: { data?: string }) => void>();
    const one = { say: (name: string, data?: string) => hears.get(name)?.({ data }), closed: false };
    opened.push(one);
    return {
      addEventListener: (name, heard) => void hears.set(name, heard),
      close: () => {
        one.closed = true;
      },
    };
  };
  const log: string[] = [];
  const live = new Live(open, {
    onEvent: (e) => log.push(`event ${e.revision}`),
    onBack: () => log.push('back'),
    onLost: () => log.push('lost'),
    reload: () => log.push('reload'),
    onCallUp: (up) => log.push(`called up ${up.words}`),
    onCallUps: () => log.push('call-ups'),
  });
  return { live, opened, log };
}

test('what the plant calls up is told', () => {
  const { live, opened, log } = stream();
  live.start();
  opened[0]?.say('callup', JSON.stringify({ occurrence: 1, words: 'gusts', screen: 'Wind watch', began: 1 }));
  opened[0]?.say('callups');
  expect(log).toEqual(['called up gusts', 'call-ups']);
});

test('what comes in is told', () => {
  const { live, opened, log } = stream();
  live.start();
  opened[0]?.say('open');
  opened[0]?.say('live', '{"n":1,"revision":3,"elements":[]}');
  expect(log).toEqual(['back', 'event 3']);
});

test('a broken connection makes values unbelieved, and the screen is read again when it is back', () => {
  const { live, opened, log } = stream();
  live.start();
  opened[0]?.say('error');
  opened[0]?.say('open');
  opened[0]?.say('open');
  expect(log).toEqual(['lost', 'back', 'reload', 'back']);
});

test('a connection that says nothing is opened anew; one that says that it lives is not', () => {
  const { live, opened, log } = stream();
  live.start();
  vi.advanceTimersByTime(5000);
  opened[0]?.say('alive');
  vi.advanceTimersByTime(5000);
  expect(opened).toHaveLength(1);
  vi.advanceTimersByTime(2000);
  expect(log).toEqual(['lost']);
  expect(opened[0]?.closed).toBe(true);
  opened[1]?.say('open');
  expect(log).toEqual(['lost', 'back', 'reload']);
});

test('the server ends it: the screen is read again; a refusal closes it; who leaves ends it', () => {
  const { live, opened, log } = stream();
  const end = live.start();
  opened[0]?.say('ended');
  expect(opened[0]?.closed).toBe(false);
  opened[0]?.say('refused');
  expect(opened[0]?.closed).toBe(true);
  expect(log).toEqual(['reload', 'reload']);
  end();
  vi.advanceTimersByTime(60_000);
  expect(opened).toHaveLength(1);
});
