import { expect, test } from 'vitest';
import type { DeviceInfo } from '../../api/client';
import { deviceState } from './device';

const now = Date.parse('2026-05-04T10:00:00Z');
const at = (minutes: number) => new Date(now + minutes * 60_000).toISOString();
const state = (d: Partial<DeviceInfo>) =>
  deviceState({ id: 'd_1', name: 'Hall', project: 'p', role: 'r', start: 's', allows: [], ...d }, now);

test('how it stands with a display is said in words', () => {
  expect(state({ codeEnds: at(20) }).words).toMatch(/^waits for its code, until \d\d:\d\d$/);
  expect(state({ codeEnds: at(-1) })).toEqual({ words: 'its code has run out', bad: true });
  expect(state({ enrolled: at(-100), seen: at(-1) })).toEqual({ words: 'is there' });
  expect(state({ enrolled: at(-100), seen: at(-10) }).bad).toBe(false);
  expect(state({ enrolled: at(-100), seen: at(-60) }).bad).toBe(true);
});
