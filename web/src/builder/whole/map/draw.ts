import type { ScreenMap } from '../../../api/client';
import { type Box, type Drawn, nearnessOf, platesIn, type View } from './view';

/** The colours of a drawing, read from the theme. */
export interface Ink {
  wire: string;
  faint: string;
  amber: string;
  brick: string;
  rule: string;
  paper: string;
  ink: string;
  muted: string;
}

export function inkOf(el: HTMLElement): Ink {
  const style = getComputedStyle(el);
  const of = (name: string) => style.getPropertyValue(`--chakra-colors-${name}`).trim();
  return {
    wire: of('rank-second'),
    faint: of('rule'),
    amber: of('amber'),
    brick: of('brick'),
    rule: of('rule'),
    paper: of('paper'),
    ink: of('ink'),
    muted: of('muted'),
  };
}

/** What is drawn with, on the page or beside it. */
export type Brush = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/** What is drawn behind the plates. */
export interface Picture {
  map: ScreenMap;
  wires: Drawn[];
  lit: Drawn[]; // of what is chosen, drawn over the others
  dim: boolean; // the others step back
  shows: (id: string) => boolean; // which plates are not dimmed
}

const counted = 1500; // wires of which each is dashed as it is held, and says how many ways it stands for

const within = (d: Drawn, b: Box) =>
  d.box.left < b.right && d.box.right > b.left && d.box.top < b.bottom && d.box.bottom > b.top;

const atOnce = 600; // wires that are drawn before others are heard

/**
 * Draws bands, columns and wires of what is seen, in steps. The first has all that is chosen, and of the wires an
 * even share, so that something is there while one moves.
 */
export function* drawing(c: Brush, p: Picture, v: View, seen: Box, scale: number, ink: Ink): Generator<void> {
  c.setTransform(1, 0, 0, 1, 0, 0);
  c.clearRect(0, 0, c.canvas.width, c.canvas.height);
  c.setTransform(v.k * scale, 0, 0, v.k * scale, v.x * scale, v.y * scale);
  columns(c, p.map, v, ink);
  const visible = p.wires.filter((d) => within(d, seen) && (p.shows(d.wire.from) || p.shows(d.wire.to)));
  const order = spread(visible, Math.ceil(visible.length / atOnce));
  for (let from = 0; from === 0 || from < order.length; ) {
    const upTo = Math.min(order.length, from + atOnce);
    strands(c, order.slice(from, upTo), seen, visible.length > counted, p.dim, v, ink);
    const last = upTo >= order.length;
    if (from === 0 || last) {
      if (drawnSmall(p.map, v)) small(c, p, seen, ink);
      lights(c, p.lit, seen, v, ink);
    }
    if (last) break;
    from = upTo;
    yield;
  }
  if (!p.dim && v.k >= 0.6 && visible.length < counted) for (const d of visible) count(c, d, ink.wire, ink);
}

const few = 400; // plates that can be pressed, however far one is

/** Whether plates are so small and so many that they are drawn with the wires, and none can be pressed. */
export function drawnSmall(map: ScreenMap, v: View): boolean {
  return map.plates.length > few && nearnessOf(v.k) === 'areas';
}

function small(c: Brush, p: Picture, seen: Box, ink: Ink) {
  for (const plate of platesIn(p.map, seen)) {
    c.fillStyle = plate.trapped ? ink.brick : p.shows(plate.id) ? ink.muted : ink.faint;
    c.fillRect(plate.x, plate.y, p.map.plate.w, p.map.plate.h);
  }
}

/** All in such an order that each part of so many has some from everywhere. */
function spread<T>(all: T[], parts: number): T[] {
  if (parts < 2) return all;
  const out: T[] = [];
  for (let first = 0; first < parts; first++) {
    for (let i = first; i < all.length; i += parts) out.push(all[i] as T);
  }
  return out;
}

/** Draws wires, those that are open over those that are not. */
function strands(
  c: Brush,
  all: Drawn[],
  seen: Box,
  plain: boolean, // dashes of so many would be no dashes, and take their time
  dim: boolean,
  v: View,
  ink: Ink,
) {
  for (const hold of ['never', 'maybe', 'sure'] as const) {
    c.strokeStyle = dim || hold === 'never' ? ink.faint : ink.wire;
    c.lineWidth = 1.2 / Math.max(v.k, 0.5);
    c.setLineDash(plain ? [] : hold === 'maybe' ? [6, 5] : hold === 'never' ? [2, 5] : []);
    for (const d of all) {
      if (d.wire.hold !== hold) continue;
      c.beginPath(); // many in one path take longer than each in its own
      trace(c, d.points, seen);
      c.stroke();
    }
  }
  c.setLineDash([]);
}

function lights(c: Brush, lit: Drawn[], seen: Box, v: View, ink: Ink) {
  for (const d of lit) {
    c.strokeStyle = d.wire.hold === 'never' ? ink.brick : ink.amber;
    c.lineWidth = 2.4 / Math.max(v.k, 0.5);
    c.setLineDash(d.wire.hold === 'sure' ? [] : [7, 5]);
    c.beginPath();
    trace(c, d.points, seen);
    c.stroke();
    c.setLineDash([]);
    count(c, d, ink.amber, ink);
  }
}

function columns(c: Brush, map: ScreenMap, v: View, ink: Ink) {
  c.strokeStyle = ink.rule;
  c.lineWidth = 1 / v.k;
  c.setLineDash([3 / v.k, 4 / v.k]);
  c.beginPath();
  for (const col of map.columns.slice(1)) {
    c.moveTo(col.x - 37, 0);
    c.lineTo(col.x - 37, map.height);
  }
  c.stroke();
  c.setLineDash([]);
}

/** Traces what is seen of a wire; what is not takes as long to draw as what is. */
function trace(c: Brush, points: [number, number][], seen: Box) {
  let at: [number, number] | undefined; // where the pen stands
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1] as [number, number];
    const b = points[i] as [number, number];
    if (
      Math.max(a[0], b[0]) < seen.left ||
      Math.min(a[0], b[0]) > seen.right ||
      Math.max(a[1], b[1]) < seen.top ||
      Math.min(a[1], b[1]) > seen.bottom
    ) {
      at = undefined;
      continue;
    }
    const straight = a[0] === b[0] || a[1] === b[1];
    const from = straight ? inside(a, seen) : a;
    if (!at || at[0] !== from[0] || at[1] !== from[1]) c.moveTo(...from);
    at = straight ? inside(b, seen) : b;
    if (straight) c.lineTo(...at);
    else {
      const mid = (a[0] + b[0]) / 2;
      c.bezierCurveTo(mid, a[1], mid, b[1], b[0], b[1]);
    }
  }
}

const inside = ([x, y]: [number, number], b: Box): [number, number] => [
  Math.min(Math.max(x, b.left), b.right),
  Math.min(Math.max(y, b.top), b.bottom),
];

/** How many ways a wire stands for, where it is more than one. */
function count(c: Brush, d: Drawn, color: string, ink: Ink) {
  if (d.wire.n < 2) return;
  const [a, b] = [d.points[d.points.length - 2], d.points[d.points.length - 1]];
  if (!a || !b) return;
  const [x, y] = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  c.beginPath();
  c.arc(x, y, 8, 0, Math.PI * 2);
  c.fillStyle = ink.paper;
  c.fill();
  c.strokeStyle = color;
  c.lineWidth = 1.2;
  c.stroke();
  c.fillStyle = ink.ink;
  c.font = "700 10px 'Overpass Variable', sans-serif";
  c.textAlign = 'center';
  c.textBaseline = 'middle';
  c.fillText(String(d.wire.n), x, y + 0.5);
}
