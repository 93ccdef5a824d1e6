import { expect, test } from 'vitest';
import { type Source, Stream } from './Stream';

function streaming() {
  const opened: { places: string[]; say: (name: string, data?: string) => void; closed: boolean }[] = [];
  const soon: (() => void)[] = [];
  const stream = new Stream(
    (places): Source => {
      const hears: [string, (e: { data?: string }) => void][] = [];
      const say = (name: string, data?: string) => {
        for (const [of, heard] of hears) if (of === name) heard({ data });
      };
      const one = { places, say, closed: false };
      opened.push(one);
      return {
        addEventListener: (name, heard) => void hears.push([name, heard]),
        close: () => {
          one.closed = true;
        },
      };
    },
    (then) => void soon.push(then),
  );
  const log: string[] = [];
  const listen = (who: string, at: string) => stream.listen(at, (name) => log.push(`${who} ${name}`));
  const settle = () => soon.splice(0).forEach((then) => void then());
  return { opened, log, listen, settle };
}

test('tabs share one stream, and each hears of its own place', () => {
  const { opened, log, listen, settle } = streaming();
  listen('one', 't1.1.0');
  listen('two', 't2.4.0');
  settle();
  expect(opened.map((o) => o.places)).toEqual([['t1.1.0', 't2.4.0']]);
  opened[0]?.say('live', '{"at":"t2.4.0","elements":[]}');
  opened[0]?.say('refused', '{"at":"t1.1.0"}');
  opened[0]?.say('alive', '{}');
  expect(log).toEqual(['two live', 'one refused', 'one alive', 'two alive']);
});

test('whoever goes elsewhere opens it once anew; without anybody it ends', () => {
  const { opened, listen, settle } = streaming();
  const one = listen('one', 't1.1.0');
  const two = listen('two', 't2.4.0');
  settle();
  one();
  const next = listen('one', 't1.2.0');
  settle();
  expect(opened.map((o) => o.places)).toEqual([
    ['t1.1.0', 't2.4.0'],
    ['t2.4.0', 't1.2.0'],
  ]);
  expect(opened.map((o) => o.closed)).toEqual([true, false]);
  next();
  two();
  settle();
  expect(opened).toHaveLength(2);
  expect(opened[1]?.closed).toBe(true);
});

test('the same place in two tabs is asked for once, and both hear of it', () => {
  const { opened, log, listen, settle } = streaming();
  listen('one', 't1.1.0');
  listen('copy', 't1.1.0');
  settle();
  opened[0]?.say('live', '{"at":"t1.1.0","elements":[]}');
  expect(opened[0]?.places).toEqual(['t1.1.0']);
  expect(log).toEqual(['one live', 'copy live']);
});

test('where one place ended, all are listened to anew', () => {
  const { opened, log, listen, settle } = streaming();
  listen('one', 't1.1.0');
  listen('two', 't2.4.0');
  settle();
  opened[0]?.say('ended', '{"at":"t2.4.0"}');
  settle();
  expect(log).toEqual(['two ended']);
  expect(opened.map((o) => o.closed)).toEqual([true, false]);
  expect(opened[1]?.places).toEqual(['t1.1.0', 't2.4.0']);
});
