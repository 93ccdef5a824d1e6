import { type RefObject, useLayoutEffect, useRef } from 'react';
import type { MapPlate, ScreenMap } from '../../../api/client';
import { useSteady } from '../../../ui/useSteady';
import { drawnSmall, inkOf } from './draw';
import type { Given, Marks, Painted } from './Painter';
import { platesIn, seenBox, type View } from './view';

const room = 320; // px around the window that is drawn too, so that a short pan shows nothing new
const edge = room * 0.8; // px from where something was drawn to where it is drawn anew

const none: MapPlate[] = [];

/** The plates that are seen, or nearly, and how near one is. */
export interface Seen {
  plates: MapPlate[];
  k: number;
}

interface Paint {
  canvas: RefObject<HTMLCanvasElement | null>;
  layer: RefObject<HTMLDivElement | null>; // plates
  heads: RefObject<HTMLDivElement | null>; // of columns
  view: RefObject<View>;
  size: () => { width: number; height: number };
  map: ScreenMap;
  marks: Marks;
  onSeen: (of: (old: Seen) => Seen) => void;
}

/**
 * Has the wires drawn by a worker, and places the plates. While one moves, what is drawn is moved along, and asked for anew
 * only at its edge.
 */
export function useMapPaint({ canvas, layer, heads, view, size, map, marks, onSeen }: Paint) {
  const painter = useRef<Worker>(undefined);
  const painted = useRef<View>(view.current); // what the canvas shows
  const asked = useRef<View>(view.current);
  const give = (what: Given) => painter.current?.postMessage(what);

  const lay = useSteady(() => {
    const [v, p] = [view.current, painted.current];
    const by = v.k / p.k;
    if (canvas.current)
      canvas.current.style.transform = `translate(${v.x - by * (p.x + room)}px, ${v.y - by * (p.y + room)}px) scale(${by})`;
  });
  const show = useSteady(({ view: of, picture, whole }: Painted) => {
    const el = canvas.current;
    if (!el) return;
    el.width = picture.width;
    el.height = picture.height;
    el.getContext('bitmaprenderer')?.transferFromImageBitmap(picture);
    painted.current = of;
    if (whole) el.dataset.drawn = `${of.x} ${of.y} ${of.k}`;
    lay();
  });

  useLayoutEffect(() => {
    const worker = new Worker(new URL('./wires.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = (e: MessageEvent<Painted>) => show(e.data);
    painter.current = worker;
    return () => worker.terminate();
  }, [show]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: given once for each map
  useLayoutEffect(() => give({ map }), [map]);
  const { lit, dim, dimmed } = marks;
  // biome-ignore lint/correctness/useExhaustiveDependencies: given whenever something else is marked
  useLayoutEffect(() => give({ marks: { lit, dim, dimmed } }), [lit, dim, dimmed]);

  const paint = useSteady((moving = false) => {
    const el = canvas.current;
    if (!el) return;
    const { width, height } = size();
    const v = view.current;
    asked.current = v;
    el.style.width = `${width + 2 * room}px`;
    el.style.height = `${height + 2 * room}px`;
    const scale = Math.min(window.devicePixelRatio || 1, 2);
    give({ part: { view: v, width, height, room, scale, ink: inkOf(el) } });
    if (!moving && layer.current) layer.current.style.willChange = '';
    onSeen((old) => {
      const plates = drawnSmall(map, v) ? none : platesIn(map, seenBox(v, width, height, room));
      const same = old.k === v.k && old.plates.length === plates.length && old.plates.every((p, i) => p === plates[i]);
      return same ? old : { plates, k: v.k };
    });
  });
  const place = useSteady((v: View) => {
    view.current = v;
    if (layer.current) {
      layer.current.style.willChange = 'transform'; // moved as it is, until one rests
      layer.current.style.transform = `translate(${v.x}px, ${v.y}px) scale(${v.k})`;
    }
    if (heads.current) heads.current.style.transform = `translate(${v.x}px, 0)`;
    lay();
    const from = asked.current;
    if (v.k !== from.k || Math.abs(v.x - from.x) > edge || Math.abs(v.y - from.y) > edge) paint(true);
  });
  return { paint, place };
}
