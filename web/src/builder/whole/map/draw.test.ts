import { expect, test } from 'vitest';
import type { MapPlate, MapWire, ScreenMap } from '../../../api/client';
import { drawing, drawnSmall, type Ink, type Picture } from './draw';
import { drawnWires, seenBox } from './view';

const ink: Ink = {
  wire: 'wire',
  faint: 'faint',
  amber: 'amber',
  brick: 'brick',
  rule: 'rule',
  paper: 'paper',
  ink: 'ink',
  muted: 'muted',
};

/** What is drawn on, and notes what is drawn: the colour and dashes of each stroke, and how many wires it has. */
class Sheet {
  canvas = { width: 100, height: 100 };
  strokeStyle = '';
  fillStyle = '';
  lineWidth = 1;
  font = '';
  textAlign = '';
  textBaseline = '';
  strokes: { color: string; dashed: boolean; wires: number }[] = [];
  texts: string[] = [];
  rects = 0;
  cleared = 0;
  private dashes: number[] = [];
  private begun = 0;
  setTransform() {}
  clearRect() {
    this.cleared++;
  }
  setLineDash(d: number[]) {
    this.dashes = d;
  }
  beginPath() {
    this.begun = 0;
  }
  moveTo() {
    this.begun++;
  }
  lineTo() {}
  bezierCurveTo() {}
  arc() {}
  fill() {}
  stroke() {
    this.strokes.push({ color: this.strokeStyle, dashed: this.dashes.length > 0, wires: this.begun });
  }
  fillText(words: string) {
    this.texts.push(words);
  }
  fillRect() {
    this.rects++;
  }
}

const plate = (id: string, x: number, y: number): MapPlate => ({
  id,
  title: id,
  type: 'menu',
  kind: 'sure',
  presses: 0,
  x,
  y,
});

function sheet(wires: MapWire[], more: Partial<Picture> = {}, k = 1, plates = [plate('a', 0, 0), plate('b', 200, 0)]) {
  const map: ScreenMap = { width: 400, height: 100, plate: { w: 100, h: 40 }, columns: [], areas: [], plates, wires };
  const picture: Picture = { map, wires: drawnWires(map), lit: [], dim: false, shows: () => true, ...more };
  const on = new Sheet();
  const view = { x: 0, y: 0, k };
  const steps = drawing(on as unknown as CanvasRenderingContext2D, picture, view, seenBox(view, 400, 100, 0), 1, ink);
  let n = 1;
  const first = () => steps.next();
  const rest = () => {
    while (!steps.next().done) n++;
    return n;
  };
  return { on, first, rest, map };
}

const wire = (hold: MapWire['hold'], n = 1): MapWire => ({
  from: 'a',
  to: 'b',
  n,
  hold,
  points: [
    [100, 20],
    [200, 30],
  ],
});
const of = (on: Sheet, color: string, dashed: boolean) =>
  on.strokes.filter((s) => s.color === color && s.dashed === dashed).reduce((sum, s) => sum + s.wires, 0);

test('what is surely open is solid, what may be is dashed, what never is steps back; several ways are counted', () => {
  const { on, first } = sheet([wire('sure', 3), wire('maybe'), wire('never')]);
  expect(first().done).toBe(true);
  expect(of(on, 'wire', false)).toBe(1);
  expect(of(on, 'wire', true)).toBe(1);
  expect(of(on, 'faint', true)).toBe(1);
  expect(on.texts).toEqual(['3']);
});

test('what is chosen is lit, and the others step back', () => {
  const lit = drawnWires({ wires: [wire('sure')] } as ScreenMap);
  const { on, first } = sheet([wire('sure'), wire('sure')], { lit, dim: true });
  first();
  expect(of(on, 'amber', false)).toBe(1);
  expect(of(on, 'faint', false)).toBe(2);
  expect(of(on, 'wire', false)).toBe(0);
});

test('many wires are drawn in steps, an even share first, each once', () => {
  const { on, first, rest } = sheet(Array.from({ length: 4000 }, () => wire('sure')));
  expect(first().done).toBe(false);
  const at = of(on, 'wire', false);
  expect(at).toBe(600);
  expect(rest()).toBe(6);
  expect(of(on, 'wire', false)).toBe(4000);
  expect(on.cleared).toBe(1);
  expect(on.texts).toEqual([]); // so many numbers would be read by nobody
});

test('what is filtered away is not drawn, nor what lies outside', () => {
  const { on, first } = sheet([wire('sure')], { shows: () => false });
  first();
  expect(of(on, 'wire', false)).toBe(0);
  const away = sheet([
    {
      ...wire('sure'),
      points: [
        [5000, 20],
        [5100, 30],
      ],
    },
  ]);
  away.first();
  expect(of(away.on, 'wire', false)).toBe(0);
});

test('from far so many plates are drawn with the wires', () => {
  const plates = Array.from({ length: 500 }, (_, i) => plate(`p${i}`, 0, i));
  const { on, first, map } = sheet([], {}, 0.1, plates);
  first();
  expect(on.rects).toBe(500);
  expect(drawnSmall(map, { x: 0, y: 0, k: 0.1 })).toBe(true);
  expect(drawnSmall(map, { x: 0, y: 0, k: 1 })).toBe(false);
});
