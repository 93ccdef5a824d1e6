import { expect, test } from 'vitest';
import { beside } from './beside';

const view = { width: 1280, height: 800 };
const at = (left: number, top: number) => ({ left, right: left + 100, top, bottom: top + 30 });

test('a box stands below what it belongs to, or above where that is wanted', () => {
  expect(beside(at(300, 200), view, { width: 310 })).toEqual({ left: 300, top: 236, room: 556 });
  expect(beside(at(300, 500), view, { width: 310, up: true })).toEqual({ left: 300, bottom: 306, room: 486 });
});

test('it goes to the other side where there is no room, and stays where there is more', () => {
  expect(beside(at(300, 700), view, { width: 310 }).bottom).toBe(106);
  expect(beside(at(300, 20), view, { width: 310, up: true }).top).toBe(56);
  expect(beside(at(300, 20), { width: 1280, height: 200 }, { width: 310 }).top).toBe(56);
});

test('it ends where it belongs to on the right, and never leaves the window', () => {
  expect(beside(at(600, 200), view, { width: 310, align: 'right' }).left).toBe(390);
  expect(beside(at(1200, 200), view, { width: 310 }).left).toBe(962);
  expect(beside(at(20, 200), { width: 300, height: 800 }, { width: 310 }).left).toBe(8);
});
