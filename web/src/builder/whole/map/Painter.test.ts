import { expect, test } from 'vitest';
import type { MapWire, ScreenMap } from '../../../api/client';
import type { Brush, Ink } from './draw';
import { type Painted, Painter, type Part, type Sheet } from './Painter';

const still = () => {};
const brush = () =>
  new Proxy({ canvas: { width: 1, height: 1 } } as object, {
    get: (of, name) => Reflect.get(of, name) ?? still,
  }) as unknown as Brush;

function easel(wires: number) {
  const told: Painted[] = [];
  const turns: (() => void)[] = [];
  const sheet: Sheet = { width: 0, height: 0, getContext: brush, transferToImageBitmap: () => ({}) as ImageBitmap };
  const painter = new Painter(
    sheet,
    () => Promise.resolve({} as ImageBitmap),
    (what) => told.push(what),
    () => new Promise((go) => turns.push(go)),
  );
  const wire: MapWire = {
    from: 'a',
    to: 'b',
    n: 1,
    hold: 'sure',
    points: [
      [10, 10],
      [90, 20],
    ],
  };
  const map = { width: 400, height: 100, plate: { w: 100, h: 40 }, columns: [], areas: [], plates: [] } as const;
  const give = () => painter.give({ map: { ...map, wires: Array(wires).fill(wire) } as unknown as ScreenMap });
  const heard = () => new Promise((go) => setTimeout(go)); // all that waits has run
  const goOn = async () => {
    turns.shift()?.();
    await heard();
  };
  return { painter, told, sheet, give, goOn, heard };
}

const part = (x: number): { part: Part } => ({
  part: { view: { x, y: 0, k: 1 }, width: 400, height: 100, room: 50, scale: 2, ink: {} as Ink },
});

test('a few wires are drawn at once, with the room around them', () => {
  const { painter, told, sheet, give } = easel(5);
  give();
  painter.give(part(0));
  expect(told.map((p) => p.whole)).toEqual([true]);
  expect([sheet.width, sheet.height]).toEqual([1000, 400]);
});

test('of many wires some are shown first, then all', async () => {
  const { painter, told, give, goOn, heard } = easel(1700);
  give();
  painter.give(part(0));
  await heard();
  expect(told.map((p) => p.whole)).toEqual([false]);
  await goOn();
  await goOn();
  expect(told.map((p) => p.whole)).toEqual([false, true]);
});

test('where one looks elsewhere meanwhile, that is drawn, and of what lay between nothing', async () => {
  const { painter, told, give, goOn, heard } = easel(1700);
  give();
  painter.give(part(0));
  await heard();
  painter.give(part(100));
  painter.give(part(200));
  for (let i = 0; i < 6; i++) await goOn();
  expect(told.map((p) => [p.view.x, p.whole])).toEqual([
    [0, false],
    [200, false],
    [200, true],
  ]);
});

test('before there is a map, nothing is drawn', async () => {
  const { painter, told, give, heard } = easel(5);
  painter.give(part(0));
  await heard();
  expect(told).toEqual([]);
  give();
  painter.give(part(0));
  expect(told.length).toBe(1);
});
