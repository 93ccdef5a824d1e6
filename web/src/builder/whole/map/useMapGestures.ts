import { type RefObject, useEffect, useState } from 'react';
import { useSteady } from '../../../ui/useSteady';
import { type View, zoomed } from './view';

interface Hands {
  onPlate: (id: string, also: boolean) => void;
  onGround: (x: number, y: number) => void; // in units of the map
  onOpen: (id: string) => void;
  onPull: (from: string, to: string) => void;
}

/** A wire that is being pulled from a plate, in units of the map. */
export interface Pull {
  from: [number, number];
  to: [number, number];
}

const still = 4; // px that a press may move and is no drag yet

/** Mouse, touch and wheel on the map: pan, zoom, choose, open, and pull a wire from one plate to another. */
export function useMapGestures(
  box: RefObject<HTMLDivElement | null>,
  view: RefObject<View>,
  place: (v: View) => void,
  paint: () => void,
  hands: Hands,
): Pull | undefined {
  const [pull, setPull] = useState<Pull>();
  const plate = useSteady(hands.onPlate);
  const ground = useSteady(hands.onGround);
  const open = useSteady(hands.onOpen);
  const pulled = useSteady(hands.onPull);
  useEffect(() => {
    const el = box.current;
    if (!el) return;
    let down: { x: number; y: number; view: View; notch?: string; moved: boolean } | undefined;
    let rest = 0;
    const within = (e: { clientX: number; clientY: number }): [number, number] => {
      const r = el.getBoundingClientRect();
      return [e.clientX - r.left, e.clientY - r.top];
    };
    const onMap = (e: { clientX: number; clientY: number }): [number, number] => {
      const [x, y] = within(e);
      const v = view.current;
      return [(x - v.x) / v.k, (y - v.y) / v.k];
    };
    const plateAt = (e: { clientX: number; clientY: number }) =>
      document.elementFromPoint(e.clientX, e.clientY)?.closest<HTMLElement>('[data-plate]')?.dataset.plate;
    const settle = () => {
      window.clearTimeout(rest);
      rest = window.setTimeout(() => paint(), 120);
    };
    const onDown = (e: PointerEvent) => {
      if (e.button !== 0 || !(e.target instanceof Element)) return;
      const notch = e.target.closest<HTMLElement>('[data-notch]')?.dataset.notch;
      down = { x: e.clientX, y: e.clientY, view: view.current, notch, moved: false };
    };
    const onMove = (e: PointerEvent) => {
      if (!down) return;
      const [dx, dy] = [e.clientX - down.x, e.clientY - down.y];
      if (!down.moved && Math.hypot(dx, dy) < still) return;
      if (!down.moved) el.setPointerCapture(e.pointerId);
      down.moved = true;
      if (down.notch) setPull({ from: onMap({ clientX: down.x, clientY: down.y }), to: onMap(e) });
      else {
        place({ ...down.view, x: down.view.x + dx, y: down.view.y + dy });
        settle();
      }
    };
    const onUp = (e: PointerEvent) => {
      const was = down;
      down = undefined;
      setPull(undefined);
      if (!was) return;
      const id = plateAt(e);
      if (was.moved) {
        if (was.notch && id && id !== was.notch) pulled(was.notch, id);
        return;
      }
      if (id) plate(id, e.shiftKey);
      else ground(...onMap(e));
    };
    const onDouble = (e: MouseEvent) => {
      const id = plateAt(e);
      if (id) open(id);
    };
    const onWheel = (e: WheelEvent) => {
      e.preventDefault();
      const v = view.current;
      if (e.ctrlKey || e.metaKey) place(zoomed(v, Math.exp(-e.deltaY * 0.004), ...within(e)));
      else place({ ...v, x: v.x - (e.shiftKey ? e.deltaY : e.deltaX), y: v.y - (e.shiftKey ? 0 : e.deltaY) });
      settle();
    };
    el.addEventListener('pointerdown', onDown);
    el.addEventListener('pointermove', onMove);
    el.addEventListener('pointerup', onUp);
    el.addEventListener('dblclick', onDouble);
    el.addEventListener('wheel', onWheel, { passive: false });
    return () => {
      window.clearTimeout(rest);
      el.removeEventListener('pointerdown', onDown);
      el.removeEventListener('pointermove', onMove);
      el.removeEventListener('pointerup', onUp);
      el.removeEventListener('dblclick', onDouble);
      el.removeEventListener('wheel', onWheel);
    };
  }, [box, view, place, paint, plate, ground, open, pulled]);
  return pull;
}
