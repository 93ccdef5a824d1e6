import type { MapPlate, MapWire, ScreenMap } from '../../../api/client';

/** Where the map is looked at: what is moved by x and y, and how near. */
export interface View {
  x: number;
  y: number;
  k: number;
}

export const farthest = 0.01;
export const nearest = 2.2;

/** How near one is: areas, screens, or ways with their words. */
export type Nearness = 'areas' | 'screens' | 'ways';

export function nearnessOf(k: number): Nearness {
  if (k < 0.42) return 'areas';
  return k < 1.35 ? 'screens' : 'ways';
}

/** The view that shows the whole map if its words can still be read then, else as much as can be from its start. */
export function firstView(map: ScreenMap, width: number, height: number): View {
  const k = Math.max(0.8, Math.min(1, width / map.width, (1.4 * height) / map.height));
  return { x: k * map.width < width ? (width - k * map.width) / 2 : 0, y: 0, k };
}

/** The view from which all is seen. */
export function wholeView(map: ScreenMap, width: number, height: number): View {
  const k = Math.max(farthest, Math.min(1, Math.min(width / map.width, height / map.height) * 0.98));
  return { x: (width - k * map.width) / 2, y: Math.max(0, (height - k * map.height) / 2), k };
}

/** Nearer or farther, so that what is at a point stays there. */
export function zoomed(v: View, by: number, x: number, y: number): View {
  const k = Math.max(farthest, Math.min(nearest, v.k * by));
  return { k, x: x - ((x - v.x) * k) / v.k, y: y - ((y - v.y) * k) / v.k };
}

/** Moved as little as it takes to see a plate whole. */
export function seeing(v: View, p: MapPlate, map: ScreenMap, width: number, height: number): View {
  const edge = 24;
  const [left, top] = [p.x * v.k + v.x, p.y * v.k + v.y];
  const [right, bottom] = [left + map.plate.w * v.k, top + map.plate.h * v.k];
  const dx = left < edge ? edge - left : right > width - edge ? width - edge - right : 0;
  const dy = top < 48 ? 48 - top : bottom > height - edge ? height - edge - bottom : 0;
  return { ...v, x: v.x + dx, y: v.y + dy };
}

/** Moved so that a plate is in the middle from above to below; across only as much as it takes. */
export function centred(v: View, p: MapPlate, map: ScreenMap, width: number, height: number): View {
  const seen = seeing(v, p, map, width, height);
  return { ...seen, y: height / 2 - (p.y + map.plate.h / 2) * v.k };
}

/** Moved as little as it takes to see two plates, the one that is gone to at the least. */
export function seeingBoth(v: View, a: MapPlate, b: MapPlate, map: ScreenMap, width: number, height: number): View {
  return seeing(seeing(v, a, map, width, height), b, map, width, height);
}

/** What of the map lies in the window, with some room around it, in units of the map. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

export function seenBox(v: View, width: number, height: number, room: number): Box {
  return {
    left: (-v.x - room) / v.k,
    top: (-v.y - room) / v.k,
    right: (width - v.x + room) / v.k,
    bottom: (height - v.y + room) / v.k,
  };
}

export function platesIn(map: ScreenMap, b: Box): MapPlate[] {
  const { w, h } = map.plate;
  return map.plates.filter((p) => p.x < b.right && p.x + w > b.left && p.y < b.bottom && p.y + h > b.top);
}

/** A wire as it is drawn: points that it goes through, along curves between columns and straight past plates. */
export interface Drawn {
  wire: MapWire;
  points: [number, number][];
  box: Box;
}

export function drawnWires(map: ScreenMap): Drawn[] {
  return map.wires.flatMap((wire) => (wire.points ? [drawn(wire, wire.points as [number, number][])] : []));
}

function drawn(wire: MapWire, points: [number, number][]): Drawn {
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  return {
    wire,
    points,
    box: { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) },
  };
}

/**
 * A wire that leads back, or within a column: from the point of its plate through the gutter to the lane above all
 * plates, down the gutter before its target and into that, so that it crosses no words.
 */
export function ledBack(map: ScreenMap, wire: MapWire): Drawn | undefined {
  const from = map.plates.find((p) => p.id === wire.from);
  const to = map.plates.find((p) => p.id === wire.to);
  if (!from || !to) return undefined;
  const { w, h } = map.plate;
  const out: [number, number] = [from.x + w, from.y + h / 2];
  const into: [number, number] = [to.x, to.y + h / 2];
  if (from.x === to.x) {
    const side = from.x + w + 26; // beside the column, and in at the point
    return drawn(wire, [out, [side, out[1]], [side, into[1]], [to.x + w, into[1]]]);
  }
  const above = 40;
  return drawn(wire, [
    out,
    [out[0] + 22, out[1]],
    [out[0] + 22, above],
    [into[0] - 18, above],
    [into[0] - 18, into[1]],
    into,
  ]);
}

/** How far a point is from a wire, in units of the map. */
export function farFrom(d: Drawn, x: number, y: number): number {
  let best = Number.POSITIVE_INFINITY;
  for (const [a, b] of spans(d.points)) {
    for (let i = 0; i <= 12; i++) {
      const [px, py] = along(a, b, i / 12);
      best = Math.min(best, Math.hypot(px - x, py - y));
    }
  }
  return best;
}

function spans(points: [number, number][]): [[number, number], [number, number]][] {
  return points.slice(1).map((b, i) => [points[i] ?? b, b]);
}

/** A point of the curve between two: it leaves and arrives level. */
function along(a: [number, number], b: [number, number], t: number): [number, number] {
  const mid = (a[0] + b[0]) / 2;
  const u = 1 - t;
  const x = u * u * u * a[0] + 3 * u * u * t * mid + 3 * u * t * t * mid + t * t * t * b[0];
  const y = u * u * u * a[1] + 3 * u * u * t * a[1] + 3 * u * t * t * b[1] + t * t * t * b[1];
  return [x, y];
}

/** The plate that an arrow leads to: along wires to the right and left, up and down within the column. */
export function nextPlate(map: ScreenMap, from: MapPlate, key: string): MapPlate | undefined {
  const near = (all: MapPlate[]) =>
    all.sort((a, b) => Math.abs(a.y - from.y) - Math.abs(b.y - from.y) || a.id.localeCompare(b.id))[0];
  const of = (ids: string[]) => map.plates.filter((p) => ids.includes(p.id));
  switch (key) {
    case 'ArrowRight':
      return near(of(map.wires.filter((w) => w.from === from.id).map((w) => w.to)).filter((p) => p.x > from.x));
    case 'ArrowLeft':
      return near(of(map.wires.filter((w) => w.to === from.id).map((w) => w.from)).filter((p) => p.x < from.x));
    case 'ArrowDown':
      return map.plates.filter((p) => p.x === from.x && p.y > from.y).sort((a, b) => a.y - b.y)[0];
    case 'ArrowUp':
      return map.plates.filter((p) => p.x === from.x && p.y < from.y).sort((a, b) => b.y - a.y)[0];
  }
  return undefined;
}
