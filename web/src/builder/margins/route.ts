import type { OutPlate } from './plates';

/** A wire as it is drawn. */
export interface Wire {
  key: string;
  path: string;
  look: 'open' | 'shut' | 'broken';
  chosen: boolean;
  cross?: [number, number];
}

const maxWires = 8;
const laneGap = 6;

/** The wires of the chosen and the pointed element, and of findings, along gaps where nothing stands. */
export function route(
  root: HTMLElement,
  plates: OutPlate[],
  chosen: string | undefined,
  pointed: string | undefined,
): Wire[] {
  const stage = root.querySelector('[data-stage]');
  if (!stage) return [];
  const origin = root.getBoundingClientRect();
  const frame = stage.getBoundingClientRect();
  const margin = root.querySelector('[data-ground]')?.getBoundingClientRect();
  const boxes = [...stage.querySelectorAll<HTMLElement>('[data-element]')].map((el) => ({
    id: el.dataset.element ?? '',
    rect: el.getBoundingClientRect(),
  }));
  const wanted = plates
    .flatMap((p) =>
      p.ways.map((w) => ({
        plate: p,
        way: w,
        rank: w.element === chosen ? 0 : w.element === pointed ? 1 : p.findings.length > 0 ? 2 : 3,
      })),
    )
    .filter((w) => w.rank < 3);
  wanted.sort((a, b) => a.rank - b.rank);
  const out: Wire[] = [];
  for (const { plate, way, rank } of wanted.slice(0, maxWires)) {
    const from = boxes.find((b) => b.id === way.element);
    const to = root.querySelector(`[data-plate="${plate.number}"]`)?.getBoundingClientRect();
    if (!from || !to || !margin || to.top + 24 < margin.top || to.top + 24 > margin.bottom) continue;
    const x = from.rect.left + 18;
    const y = freeGap(from.rect, boxes, frame);
    if (y === undefined) continue;
    const lane = frame.right + 8 + laneGap * out.length;
    const py = to.top + 24;
    const at = (px: number, qy: number) => `${px - origin.left} ${qy - origin.top}`;
    const look = plate.findings.some((f) => f.severity === 'broken' && f.element === way.element)
      ? 'broken'
      : way.state === 'open'
        ? 'open'
        : 'shut';
    out.push({
      key: `${way.element}.${way.trigger}`,
      path: `M${at(x, Math.min(from.rect.bottom + 8, y))}L${at(x, y)}L${at(lane, y)}L${at(lane, py)}L${at(to.left, py)}`,
      look,
      chosen: rank === 0,
      cross: look === 'broken' ? [lane - origin.left, (y + py) / 2 - origin.top] : undefined,
    });
  }
  return out;
}

/** A height just below an element at which nothing stands between it and the stage's right edge. */
function freeGap(from: DOMRect, boxes: { rect: DOMRect }[], frame: DOMRect): number | undefined {
  for (const offset of [11, 12, 10, 9, 13, 8, 7, 6, 5]) {
    const y = from.bottom + offset;
    if (y > frame.bottom - 2 || y < frame.top) continue;
    const blocked = boxes.some(
      (b) =>
        b.rect.right > from.left + 24 &&
        b.rect.top < y - 1 &&
        b.rect.bottom > y + 1 &&
        b.rect.height > 0 &&
        !(b.rect.left <= from.left && b.rect.bottom === from.bottom),
    );
    if (!blocked) return y;
  }
  return undefined;
}
