import { useCallback, useMemo } from 'react';
import type { MapPlate, MapWire, ScreenMap } from '../../../api/client';
import { drawnWires, ledBack } from './view';

interface Marked {
  map: ScreenMap;
  chosen: string[];
  wire: MapWire | undefined;
  dims: (p: MapPlate) => boolean;
  filtered: boolean;
}

/** What of the map is lit by what is chosen, what steps back, and what is told of plates from near. */
export function useMapMarks({ map, chosen, wire, dims, filtered }: Marked) {
  const wires = useMemo(() => drawnWires(map), [map]);
  const lit = useMemo(() => {
    const one = chosen.length === 1 ? chosen[0] : undefined;
    const of = wire ? [wire] : map.wires.filter((w) => one && (w.from === one || w.to === one));
    return of.flatMap((w) => wires.find((d) => d.wire === w) ?? ledBack(map, w) ?? []);
  }, [map, wires, chosen, wire]);
  const near = useMemo(() => {
    const by = new Map<string, MapWire[]>();
    for (const w of map.wires) by.set(w.from, [...(by.get(w.from) ?? []), w]);
    return by;
  }, [map]);
  const titles = useMemo(() => new Map(map.plates.map((p) => [p.id, p.title])), [map]);
  const titleOf = useCallback((id: string) => titles.get(id) ?? '', [titles]);
  const dimmed = useMemo(
    () => new Set(filtered ? map.plates.filter(dims).map((p) => p.id) : []),
    [map, dims, filtered],
  );
  const lights = useMemo(() => new Set(lit.flatMap((d) => [d.wire.from, d.wire.to])), [lit]);
  return { wires, lit, near, titleOf, dimmed, lights, dim: chosen.length > 0 || !!wire };
}
