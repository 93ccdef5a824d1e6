import { useEffect, useRef, useState } from 'react';
import type { PointView } from '../../api/client';
import { noPress } from '../../ui/noPress';
import { useSteady } from '../../ui/useSteady';
import { type PointsProps, stretch } from './points';

/** A stretch of time is drawn with the pointer over the points of a chart; let go, all of it is chosen. */
export function useStretch(chart: PointsProps['chart'], onChoose: PointsProps['onChoose']) {
  const [drawn, setDrawn] = useState<[from: string, to: string]>();
  const from = useRef<string>(undefined);
  const end = useSteady(() => {
    from.current = undefined;
    if (!drawn) return;
    setDrawn(undefined);
    if (drawn[0] === drawn[1]) return;
    noPress();
    onChoose(...stretch(chart, drawn[0], drawn[1]));
  });
  useEffect(() => {
    window.addEventListener('pointerup', end);
    window.addEventListener('pointercancel', end);
    return () => {
      window.removeEventListener('pointerup', end);
      window.removeEventListener('pointercancel', end);
    };
  }, [end]);
  if (!chart.span || !chart.again) return { holds: () => false, hands: () => ({}) };
  return {
    holds: (p: PointView) => {
      if (!drawn) return false;
      const place = (value: string) => chart.points.findIndex((x) => x.value === value);
      const [a, b] = drawn.map(place).sort((x, y) => x - y);
      const at = place(p.value);
      return at >= (a ?? 0) && at <= (b ?? 0);
    },
    hands: (p: PointView) => ({
      onPointerDown: (e: React.PointerEvent) => {
        if (e.button !== 0 || e.pointerType === 'touch') return; // a finger scrolls
        from.current = p.value;
      },
      onPointerEnter: () => from.current !== undefined && setDrawn([from.current, p.value]),
      onDragStart: (e: React.DragEvent) => e.preventDefault(),
    }),
  };
}
