import { expect, test } from 'vitest';
import type { Draft, Finding, MapPlate, ScreenMap } from '../../../api/client';
import { everything, findingsByPlate, isEverything, summary, type Wanted, wants } from './filter';

const plate = (more: Partial<MapPlate>): MapPlate => ({
  id: 's_a',
  title: 'Drive room',
  type: 'operator',
  area: 'Line',
  table: 't_lifts',
  kind: 'sure',
  presses: 1,
  x: 0,
  y: 0,
  ...more,
});
const known = { found: new Map([['s_a', 1]]), changed: new Set(['s_a']), used: new Set(['s_a']) };
const shown = (w: Partial<Wanted>, p: Partial<MapPlate> = {}) => wants({ ...everything, ...w }, plate(p), known);

test('plates are wanted by words, kind, table, area, and by what is known of them', () => {
  expect(shown({})).toBe(true);
  expect(shown({ find: ' drive' })).toBe(true);
  expect(shown({ find: 'cabin' })).toBe(false);
  expect(shown({ type: 'list' })).toBe(false);
  expect(shown({ table: 't_lifts', area: 'Line' })).toBe(true);
  expect(shown({ area: 'Workshop' })).toBe(false);
  for (const only of ['findings', 'changed'] as const) {
    expect(shown({ only })).toBe(true);
    expect(shown({ only }, { id: 's_b' })).toBe(false);
  }
  expect(shown({ only: 'unused' })).toBe(false);
  expect(shown({ only: 'unused' }, { id: 's_b' })).toBe(true);
  expect(shown({ only: 'trapped' }, { trapped: true })).toBe(true);
  expect(shown({ only: 'unled' })).toBe(false);
  expect(shown({ only: 'unled' }, { kind: 'by address' })).toBe(true);
});

test('everything is wanted until something is asked for', () => {
  expect(isEverything(everything)).toBe(true);
  expect(isEverything({ ...everything, find: ' ' })).toBe(true);
  expect(isEverything({ ...everything, only: 'unled' })).toBe(false);
});

test('findings are counted on their screen, those of a rail on the rail; what is only worth knowing is not', () => {
  const finding = (more: Partial<Finding>): Finding => ({
    check: 'x',
    severity: 'broken',
    screen: 's_a',
    words: 'w',
    ...more,
  });
  const findings = [
    finding({}),
    finding({ severity: 'doubtful' }),
    finding({ severity: 'note' }),
    finding({ entity: 'ra_1' }),
    finding({ accepted: { id: 'ac', because: 'b', by: 'c', at: '' } }),
    finding({ screen: '', entity: 'gr_1' }),
  ];
  const draft = { entities: { ra_1: { kind: 'rail' } }, findings } as unknown as Draft;
  expect([...findingsByPlate(draft)]).toEqual([
    ['s_a', 2],
    ['ra_1', 1],
  ]);
});

test('the whole is told in one line', () => {
  const plates = [
    plate({ kind: 'start' }),
    plate({}),
    plate({ kind: 'maybe' }),
    plate({ kind: 'never' }),
    plate({ rail: true }),
  ];
  expect(summary({ plates } as ScreenMap)).toBe('4 screens: 2 surely, 1 under conditions, 1 not at all.');
});
