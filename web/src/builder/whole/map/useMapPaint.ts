import { type RefObject, useRef } from 'react';
import type { MapPlate } from '../../../api/client';
import { useSteady } from '../../../ui/useSteady';
import { drawing, drawnSmall, inkOf, type Picture } from './draw';
import { platesIn, seenBox, type View } from './view';

const room = 320; // px around the window that is drawn too, so that a short pan shows nothing new

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
  picture: Picture;
  onSeen: (of: (old: Seen) => Seen) => void;
}

/** Draws the wires and places the plates. While one moves, what is drawn is moved along, and drawn anew only at its edge. */
export function useMapPaint({ canvas, layer, heads, view, size, picture, onSeen }: Paint) {
  const painted = useRef<View>(view.current);
  const going = useRef(0); // the frame that goes on with a drawing
  const paint = useSteady((moving = false) => {
    const el = canvas.current;
    const c = el?.getContext('2d');
    if (!el || !c) return;
    cancelAnimationFrame(going.current);
    const { width, height } = size();
    const v = view.current;
    painted.current = v;
    const scale = Math.min(window.devicePixelRatio || 1, 2);
    sized(el, width + 2 * room, height + 2 * room, scale);
    el.style.transform = `translate(${-room}px, ${-room}px)`;
    const steps = drawing(
      c,
      picture,
      { ...v, x: v.x + room, y: v.y + room },
      seenBox(v, width, height, room),
      scale,
      inkOf(el),
    );
    steps.next();
    const goOn = () => {
      if (!steps.next().done) going.current = requestAnimationFrame(goOn);
    };
    if (!moving) going.current = requestAnimationFrame(goOn);
    onSeen((old) => {
      const plates = drawnSmall(picture.map, v) ? none : platesIn(picture.map, seenBox(v, width, height, room));
      const same = old.k === v.k && old.plates.length === plates.length && old.plates.every((p, i) => p === plates[i]);
      return same ? old : { plates, k: v.k };
    });
  });
  const place = useSteady((v: View) => {
    view.current = v;
    cancelAnimationFrame(going.current); // all of it is drawn once one rests
    if (layer.current) layer.current.style.transform = `translate(${v.x}px, ${v.y}px) scale(${v.k})`;
    if (heads.current) heads.current.style.transform = `translate(${v.x}px, 0)`;
    const from = painted.current;
    const [dx, dy] = [v.x - from.x, v.y - from.y];
    if (v.k !== from.k || Math.abs(dx) > room * 0.8 || Math.abs(dy) > room * 0.8) paint(true);
    else if (canvas.current) canvas.current.style.transform = `translate(${dx - room}px, ${dy - room}px)`;
  });
  return { paint, place };
}

function sized(el: HTMLCanvasElement, width: number, height: number, scale: number) {
  if (el.width === Math.round(width * scale) && el.height === Math.round(height * scale)) return;
  el.width = Math.round(width * scale);
  el.height = Math.round(height * scale);
  el.style.width = `${width}px`;
  el.style.height = `${height}px`;
}
