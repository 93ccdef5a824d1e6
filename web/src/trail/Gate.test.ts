import { expect, test } from 'vitest';
import { Gate } from './Gate';

function gated() {
  const log: string[] = [];
  const gate = new Gate((name, data) => {
    const { elements = [], gone } = JSON.parse(data ?? '{}');
    const ids = elements.map((e: { id: string; v?: number }) => `${e.id}${e.v ?? ''}`).join(',');
    log.push([name, ids, gone && `without ${gone.join(',')}`].filter(Boolean).join(' '));
  });
  const live = (elements: { id: string; v?: number }[], gone?: string[], n = 1) =>
    gate.heard('live', JSON.stringify({ at: 't.1.0', n, elements, gone }));
  return { log, gate, live };
}

test('a slow tab gets the newest of each element, not a backlog', () => {
  const { log, gate, live } = gated();
  live([{ id: 'a', v: 1 }]);
  live([
    { id: 'a', v: 2 },
    { id: 'b', v: 1 },
  ]);
  live([{ id: 'a', v: 3 }]);
  expect(log).toEqual(['live a1']);
  gate.ready();
  expect(log).toEqual(['live a1', 'live a3,b1']);
  gate.ready();
  live([{ id: 'a', v: 4 }]);
  expect(log.at(-1)).toBe('live a4');
});

test('what is gone meanwhile is gone, and what is there again is there', () => {
  const { log, gate, live } = gated();
  live([]);
  live([{ id: 'a' }, { id: 'b' }], ['c']);
  live([{ id: 'c' }], ['a']);
  gate.ready();
  expect(log.at(-1)).toBe('live b,c without a');
});

test('all else comes through at once; of another place only what is newer counts', () => {
  const { log, gate, live } = gated();
  live([{ id: 'a' }]);
  live([{ id: 'b' }]);
  gate.heard('alive', '{}');
  live([{ id: 'x' }], undefined, 2);
  gate.ready();
  expect(log).toEqual(['live a', 'alive', 'live x']);
});
