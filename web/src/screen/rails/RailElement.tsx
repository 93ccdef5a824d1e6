import { useMemo } from 'react';
import type { ElementView } from '../../api/client';
import { ButtonElement } from '../ButtonElement';
import { useMarks, useScreen } from '../context';
import { ImageElement } from '../ImageElement';
import { TextElement } from '../TextElement';

export const tall = 46; // px of a button on an upright rail
export const wide = 132; // px on a level one

/** A button, text or picture on a rail. */
export function RailElement({ element: e, upright }: { element: ElementView; upright: boolean }) {
  const { builder } = useScreen();
  const marks = useMarks();
  const button = useMemo(
    () => e.button && { ...e.button, tone: e.button.tone === 'plain' ? 'rail' : e.button.tone },
    [e.button],
  );
  const drawn = e.text ? (
    <TextElement text={e.text} />
  ) : e.image ? (
    <ImageElement element={e} image={e.image} />
  ) : button ? (
    <ButtonElement element={e} button={button} />
  ) : null;
  const chosen = marks.chosen === e.id || marks.lit === e.id;
  const choose = (event: React.MouseEvent) => {
    if (!builder || marks.chosen === e.id) return;
    event.preventDefault();
    event.stopPropagation();
    builder.onChoose(e.id);
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
      {drawn}
    </div>
  );
}
