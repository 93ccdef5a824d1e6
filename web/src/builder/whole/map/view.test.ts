import { expect, test } from 'vitest';
import type { MapPlate, MapWire, ScreenMap } from '../../../api/client';
import {
  centred,
  drawnWires,
  farFrom,
  farthest,
  firstView,
  ledBack,
  nearest,
  nearnessOf,
  nextPlate,
  platesIn,
  seeing,
  seeingBoth,
  seenBox,
  wholeView,
  zoomed,
} from './view';

const plate = (id: string, x: number, y: number): MapPlate => ({
  id,
  title: id,
  type: 'menu',
  kind: 'sure',
  presses: 0,
  x,
  y,
});
const wire = (from: string, to: string, points?: [number, number][]): MapWire => ({
  from,
  to,
  n: 1,
  hold: 'sure',
  points,
});

// a ── b ── d, and c below b; d leads back to a, b to c.
const map: ScreenMap = {
  width: 800,
  height: 400,
  plate: { w: 100, h: 40 },
  columns: [],
  areas: [],
  plates: [plate('a', 20, 60), plate('b', 220, 60), plate('c', 220, 160), plate('d', 420, 60)],
  wires: [
    wire('a', 'b', [
      [120, 80],
      [220, 80],
    ]),
    wire('a', 'c', [
      [120, 80],
      [220, 180],
    ]),
    wire('b', 'd', [
      [320, 80],
      [420, 80],
    ]),
    wire('d', 'a'),
    wire('b', 'c'),
  ],
};
const at = (id: string) => map.plates.find((p) => p.id === id) ?? plate('none', 0, 0);

test('the first view shows words that can be read, a small map whole and in the middle', () => {
  expect(firstView(map, 800, 400)).toEqual({ x: 0, y: 0, k: 1 });
  expect(firstView(map, 1200, 900)).toEqual({ x: 200, y: 0, k: 1 });
  expect(firstView({ ...map, width: 8000 }, 800, 400).k).toBe(0.8);
});

test('from far all is seen, however large it is', () => {
  const v = wholeView({ ...map, width: 4000, height: 9000 }, 800, 600);
  expect(4000 * v.k).toBeLessThanOrEqual(800);
  expect(9000 * v.k).toBeLessThanOrEqual(600);
  expect(wholeView({ ...map, width: 1e6, height: 1e6 }, 800, 600).k).toBe(farthest);
});

test('what is under the pointer stays there, and one comes neither too near nor too far', () => {
  const v = { x: 30, y: -20, k: 1 };
  const near = zoomed(v, 1.5, 400, 300);
  expect([(400 - near.x) / near.k, (300 - near.y) / near.k]).toEqual([370, 320]);
  expect(zoomed(v, 100, 0, 0).k).toBe(nearest);
  expect(zoomed(v, 0.0001, 0, 0).k).toBe(farthest);
});

test('how near one is decides what is told', () => {
  expect([0.1, 0.41, 0.5, 1, 1.4, 2].map(nearnessOf)).toEqual(['areas', 'areas', 'screens', 'screens', 'ways', 'ways']);
});

test('a plate outside is moved in, by no more than it takes', () => {
  const v = { x: 0, y: 0, k: 1 };
  expect(seeing(v, at('b'), map, 800, 400)).toEqual(v);
  expect(seeing(v, at('d'), map, 400, 400)).toEqual({ x: 400 - 24 - 520, y: 0, k: 1 });
  expect(seeing({ x: -300, y: -200, k: 1 }, at('a'), map, 800, 400)).toEqual({ x: 4, y: -12, k: 1 });
});

test('what is found stands at half the height, and is moved across only where it is outside', () => {
  const v = centred({ x: -300, y: 90, k: 1 }, at('d'), map, 800, 400);
  expect(v).toEqual({ x: -300, y: 120, k: 1 });
  expect(centred({ x: -600, y: 90, k: 1 }, at('d'), map, 800, 400).x).toBe(24 - 420);
});

test('of two plates both are seen where there is room, else the one that is gone to', () => {
  const v = { x: 0, y: 0, k: 1 };
  expect(seeingBoth(v, at('a'), at('d'), map, 900, 400)).toEqual({ x: 4, y: 0, k: 1 });
  const near = seeingBoth(v, at('a'), at('d'), map, 300, 400);
  const left = at('d').x + near.x;
  expect(left).toBeGreaterThanOrEqual(24);
  expect(left + 100).toBeLessThanOrEqual(300);
});

test('only what is near the window is drawn', () => {
  const seen = (v: { x: number; y: number; k: number }) => platesIn(map, seenBox(v, 200, 100, 0)).map((p) => p.id);
  expect(seen({ x: 0, y: 0, k: 1 })).toEqual(['a']);
  expect(seen({ x: -220, y: -90, k: 1 })).toEqual(['b', 'c']);
  expect(seen({ x: 0, y: 0, k: 0.3 })).toEqual(['a', 'b', 'c', 'd']);
});

test('wires that lead on have their places; one that leads back goes above all plates, or beside its column', () => {
  expect(drawnWires(map).map((d) => `${d.wire.from}${d.wire.to}`)).toEqual(['ab', 'ac', 'bd']);
  const back = ledBack(map, wire('d', 'a'));
  const highest = Math.min(...map.plates.map((p) => p.y));
  const level = (back?.points ?? []).filter(
    (p, i, all) => i > 0 && all[i - 1]?.[1] === p[1] && Math.abs((all[i - 1]?.[0] ?? 0) - p[0]) > 50,
  );
  expect(level.length).toBeGreaterThan(0);
  expect(level.every((p) => p[1] < highest)).toBe(true);
  expect(back?.points.at(-1)).toEqual([20, 80]);
  const beside = ledBack(map, wire('b', 'c'));
  expect(beside?.points.slice(1, 3).every((p) => p[0] > 320)).toBe(true);
  expect(ledBack(map, wire('b', 'gone'))).toBeUndefined();
});

test('a wire is hit along its curve', () => {
  const [straight, bent] = drawnWires(map);
  if (!straight || !bent) throw new Error('no wires');
  expect(farFrom(straight, 170, 83)).toBeCloseTo(3, 1);
  expect(farFrom(bent, 170, 130)).toBeLessThan(1);
  expect(farFrom(bent, 170, 30)).toBeGreaterThan(40);
});

test('arrows go along wires, and up and down a column', () => {
  const go = (from: string, key: string) => nextPlate(map, at(from), key)?.id;
  expect(go('a', 'ArrowRight')).toBe('b'); // the one at the same height
  expect(go('b', 'ArrowRight')).toBe('d');
  expect(go('d', 'ArrowRight')).toBeUndefined(); // a leads back
  expect(go('d', 'ArrowLeft')).toBe('b');
  expect(go('c', 'ArrowLeft')).toBe('a');
  expect(go('b', 'ArrowDown')).toBe('c');
  expect(go('c', 'ArrowUp')).toBe('b');
  expect(go('a', 'x')).toBeUndefined();
});
