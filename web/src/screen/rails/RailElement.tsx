import { useMemo } from 'react';
import type { ElementView } from '../../api/client';
import { useMarks, useScreen } from '../context';
import { Drawn } from '../Element';

export const tall = 46; // px of a button on an upright rail
export const wide = 132; // px on a level one

/** A button, text or picture on a rail. */
export function RailElement({ element: e, upright }: { element: ElementView; upright: boolean }) {
  const { builder } = useScreen();
  const marks = useMarks();
  const drawn = useMemo(() => onRail(e), [e]);
  const chosen = marks.chosen === e.id || marks.lit === e.id;
  const choose = (event: React.MouseEvent) => {
    if (!builder || marks.chosen === e.id) return;
    event.preventDefault();
    event.stopPropagation();
    builder.onChoose(e.id, false);
  };
  return (
    <div
      className="rail-cell"
      style={upright ? undefined : { width: wide }}
      data-element={builder ? e.id : undefined}
      data-hidden={e.state === 'hidden' || undefined}
      data-lit={chosen || undefined}
      onClickCapture={builder ? choose : undefined}
    >
      <Drawn element={drawn} />
    </div>
  );
}

/** A plain button on a rail looks like its rail. */
function onRail(e: ElementView): ElementView {
  return e.kind === 'button' && e.button.tone === 'plain' ? { ...e, button: { ...e.button, tone: 'rail' } } : e;
}
