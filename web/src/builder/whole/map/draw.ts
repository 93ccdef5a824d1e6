import type { ScreenMap } from '../../../api/client';
import { type Box, type Drawn, nearnessOf, type View } from './view';

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

/** What is drawn behind the plates. */
export interface Picture {
  map: ScreenMap;
  wires: Drawn[];
  lit: Drawn[]; // of what is chosen, drawn over the others
  dim: boolean; // the others step back
  shows: (id: string) => boolean; // which plates are not dimmed
}

/** So many wires are drawn one by one; of more, when far, only those of areas. */
const tooMany = 4000;

const within = (d: Drawn, b: Box) =>
  d.box.left < b.right && d.box.right > b.left && d.box.top < b.bottom && d.box.bottom > b.top;

/** Draws bands, columns and wires of what is seen. */
export function draw(c: CanvasRenderingContext2D, p: Picture, v: View, seen: Box, scale: number, ink: Ink) {
  c.setTransform(1, 0, 0, 1, 0, 0);
  c.clearRect(0, 0, c.canvas.width, c.canvas.height);
  c.setTransform(v.k * scale, 0, 0, v.k * scale, v.x * scale, v.y * scale);
  columns(c, p.map, v, ink);
  const visible = p.wires.filter((d) => within(d, seen));
  const far = nearnessOf(v.k) === 'areas' && visible.length > tooMany;
  for (const hold of ['never', 'maybe', 'sure'] as const) {
    if (far && hold === 'never') continue;
    const some = visible.filter((d) => d.wire.hold === hold && (p.shows(d.wire.from) || p.shows(d.wire.to)));
    const step = far ? Math.ceil(some.length / tooMany) : 1;
    c.strokeStyle = p.dim ? ink.faint : hold === 'never' ? ink.faint : ink.wire;
    c.lineWidth = 1.2 / Math.max(v.k, 0.5);
    c.setLineDash(hold === 'maybe' ? [6, 5] : hold === 'never' ? [2, 5] : []);
    c.beginPath();
    for (let i = 0; i < some.length; i += step) {
      const d = some[i];
      if (d) trace(c, d.points);
    }
    c.stroke();
  }
  c.setLineDash([]);
  if (!p.dim && v.k >= 0.6) for (const d of visible) count(c, d, ink.wire, ink);
  for (const d of p.lit) {
    c.strokeStyle = d.wire.hold === 'never' ? ink.brick : ink.amber;
    c.lineWidth = 2.4 / Math.max(v.k, 0.5);
    c.setLineDash(d.wire.hold === 'sure' ? [] : [7, 5]);
    c.beginPath();
    trace(c, d.points);
    c.stroke();
    c.setLineDash([]);
    count(c, d, ink.amber, ink);
  }
}

function columns(c: CanvasRenderingContext2D, map: ScreenMap, v: View, ink: Ink) {
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

function trace(c: CanvasRenderingContext2D, points: [number, number][]) {
  const [first] = points;
  if (!first) return;
  c.moveTo(...first);
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1] ?? first;
    const b = points[i] ?? first;
    if (a[0] === b[0] || a[1] === b[1]) c.lineTo(...b);
    else {
      const mid = (a[0] + b[0]) / 2;
      c.bezierCurveTo(mid, a[1], mid, b[1], b[0], b[1]);
    }
  }
}

/** How many ways a wire stands for, where it is more than one. */
function count(c: CanvasRenderingContext2D, d: Drawn, color: string, ink: Ink) {
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
