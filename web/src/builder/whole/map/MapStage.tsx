import { Box } from '@chakra-ui/react';
import { type RefObject, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { MapPlate, MapWire, ScreenMap } from '../../../api/client';
import { useSteady } from '../../../ui/useSteady';
import { MapAreas } from './MapAreas';
import { MapColumns } from './MapColumns';
import { MapPlateView } from './MapPlateView';
import { useMapGestures } from './useMapGestures';
import { useMapKeys } from './useMapKeys';
import { useMapMarks } from './useMapMarks';
import { type Seen, useMapPaint } from './useMapPaint';
import { farFrom, firstView, nearnessOf, seeing, type View } from './view';

interface StageProps {
  map: ScreenMap;
  chosen: string[]; // one plate, or two between which paths are told
  wire: MapWire | undefined;
  dims: (p: MapPlate) => boolean;
  filtered: boolean;
  findings: Map<string, number>;
  viewRef: RefObject<{ set: (of: (v: View, width: number, height: number) => View) => void } | null>;
  onChoose: (plates: string[]) => void;
  onWire: (w: MapWire | undefined) => void;
  onOpen: (screen: string) => void;
  onPull: (from: string, to: string) => void;
}

/** The map itself: wires on a canvas, plates over it; panned, zoomed, walked along by arrows. */
export function MapStage(props: StageProps) {
  const { map, chosen, wire, dims, filtered, findings, viewRef, onChoose, onWire, onOpen, onPull } = props;
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const layer = useRef<HTMLDivElement>(null);
  const heads = useRef<HTMLDivElement>(null);
  const view = useRef<View>({ x: 0, y: 0, k: 1 });
  const begun = useRef(false);
  const [seen, setSeen] = useState<Seen>({ plates: [], k: 1 });
  const marks = useMapMarks({ map, chosen, wire, dims, filtered });
  const { dim, dimmed, lights } = marks;
  const size = useSteady(() => ({ width: box.current?.clientWidth ?? 0, height: box.current?.clientHeight ?? 0 }));

  const { paint, place } = useMapPaint({ canvas, layer, heads, view, size, map, marks, onSeen: setSeen });

  useLayoutEffect(() => {
    const { width, height } = size();
    if (!begun.current) place(firstView(map, width, height));
    begun.current = true; // what others edit does not move what one looks at
    paint();
  }, [map, place, paint, size]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: drawn anew whenever what is drawn is another
  useEffect(() => paint(), [marks.lit, dimmed, chosen, wire, paint]);
  useEffect(() => {
    const el = box.current;
    if (!el) return;
    const watch = new ResizeObserver(() => paint());
    watch.observe(el);
    return () => watch.disconnect();
  }, [paint]);
  // The panel below gets its height first.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each that is chosen
  useEffect(() => {
    const plate = map.plates.find((p) => p.id === chosen[chosen.length - 1]);
    if (!plate) return;
    const { width, height } = size();
    place(seeing(view.current, plate, map, width, height));
    paint();
  }, [chosen]);
  useEffect(() => {
    viewRef.current = {
      set: (of) => {
        const { width, height } = size();
        place(of(view.current, width, height));
        paint();
      },
    };
  }, [viewRef, place, paint, size]);

  const pulled = useMapGestures(box, view, place, paint, {
    onPlate: (id, also) => onChoose(also && chosen.length > 0 && chosen[0] !== id ? [chosen[0] ?? id, id] : [id]),
    onGround: (x, y) => {
      const reach = 7 / view.current.k;
      const all = [...marks.lit, ...marks.wires]
        .map((d) => ({ d, far: farFrom(d, x, y) }))
        .sort((a, b) => a.far - b.far);
      const hit = all[0] && all[0].far < reach ? all[0].d.wire : undefined;
      if (hit) onWire(hit);
      else onChoose([]);
    },
    onOpen: (id) => marks.titleOf(id) && onOpen(id),
    onPull,
  });

  const at = map.plates.find((p) => p.id === chosen[chosen.length - 1]);
  const onKey = useMapKeys({
    map,
    chosen,
    onChoose,
    onOpen,
    onNext: (next) => {
      const { width, height } = size();
      place(seeing(view.current, next, map, width, height));
      paint();
      requestAnimationFrame(() => box.current?.querySelector<HTMLElement>(`[data-plate="${next.id}"]`)?.focus());
    },
  });
  const nearness = nearnessOf(seen.k);
  const first = at ?? map.plates[0];
  return (
    <Box
      ref={box}
      flex="1"
      minH={0}
      position="relative"
      overflow="hidden"
      cursor="grab"
      data-map
      onKeyDown={onKey}
      onScroll={(e) => {
        // What the browser brings into sight by itself is seen by panning, not by scrolling.
        const el = e.currentTarget;
        const v = view.current;
        if (el.scrollLeft === 0 && el.scrollTop === 0) return;
        place({ ...v, x: v.x - el.scrollLeft, y: v.y - el.scrollTop });
        el.scrollTo(0, 0);
        paint();
      }}
      css={{ touchAction: 'none', userSelect: 'none' }}
    >
      <canvas ref={canvas} style={{ position: 'absolute', left: 0, top: 0, transformOrigin: '0 0' }} />
      <Box ref={layer} role="group" aria-label="Map" position="absolute" left="0" top="0" transformOrigin="0 0">
        {nearness !== 'areas' &&
          map.areas.map((a) => (
            <div key={a.name} className="map-band" style={{ top: a.y - 19 }}>
              {a.name || 'No area'}
            </div>
          ))}
        {seen.plates.map((p) => (
          <MapPlateView
            key={p.id}
            plate={p}
            w={map.plate.w}
            h={map.plate.h}
            findings={findings.get(p.id) ?? 0}
            chosen={chosen[0] === p.id}
            second={chosen[1] === p.id}
            lit={chosen.length < 2 && lights.has(p.id) && chosen[0] !== p.id}
            dim={dimmed.has(p.id) || (dim && chosen.length < 2 && !lights.has(p.id) && chosen[0] !== p.id)}
            near={nearness === 'ways' ? marks.near.get(p.id) : undefined}
            titles={marks.titleOf}
            reachable={p === first}
          />
        ))}
        {pulled && (
          <svg aria-hidden="true" style={{ position: 'absolute', overflow: 'visible', pointerEvents: 'none' }}>
            <path
              d={`M${pulled.from[0]},${pulled.from[1]} L${pulled.to[0]},${pulled.to[1]}`}
              stroke="var(--chakra-colors-amber)"
              strokeWidth={2.5}
              fill="none"
            />
          </svg>
        )}
      </Box>
      {nearness === 'areas' && <MapAreas map={map} view={seen.k} at={view.current} findings={findings} />}
      <MapColumns map={map} near={seen.k} heads={heads} />
    </Box>
  );
}
