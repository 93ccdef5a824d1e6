import { memo, type ReactNode, useRef } from 'react';
import type { ElementView } from '../api/client';
import { type BuilderHands, useMarks, useScreen } from './context';
import { draw } from './kinds/all';

/** One element, by its kind; for a builder inside a frame that can be chosen. */
export function Element({ element }: { element: ElementView }) {
  const { builder } = useScreen();
  const drawn = <Drawn element={element} />;
  if (!builder) return drawn;
  return (
    <Frame element={element} builder={builder}>
      {drawn}
    </Frame>
  );
}

/** An element as its kind draws it; drawn anew only when it changes. */
export const Drawn = memo(function Drawn({ element }: { element: ElementView }) {
  return draw(element);
});

/** The first click chooses, a second on the chosen one acts. Enter does the same. */
function Frame({ element, builder, children }: { element: ElementView; builder: BuilderHands; children: ReactNode }) {
  const marks = useMarks();
  const wasChosen = useRef(false);
  const chosen = marks.chosen === element.id;
  const one = chosen && !marks.several?.length; // a press on one of several lets the others go
  const lit = chosen || marks.lit === element.id || marks.several?.includes(element.id);
  const number = marks.numbers[element.id];
  const hold = (event: React.SyntheticEvent) => {
    if (wasChosen.current) return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: a frame around what has a role itself
    <div
      className="frame"
      data-element={element.id}
      data-lit={lit || undefined}
      data-hidden={element.state === 'hidden' || undefined}
      onPointerDownCapture={(event) => {
        wasChosen.current = one && !event.shiftKey;
        if (!one || event.shiftKey) {
          event.stopPropagation();
          builder.onChoose(element.id, event.shiftKey);
        }
      }}
      onMouseDown={(event) => event.shiftKey && event.preventDefault()} // it chooses one more, and no text
      onKeyDownCapture={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        wasChosen.current = one;
        if (!one) {
          hold(event);
          builder.onChoose(element.id, event.shiftKey);
        }
      }}
      onClickCapture={hold}
      onMouseEnter={() => builder.onPoint(element.id)}
      onMouseLeave={() => builder.onPoint(undefined)}
    >
      {children}
      {number !== undefined && (
        <div className="notch" data-notch data-chosen={chosen || undefined} aria-hidden>
          {number}
        </div>
      )}
      {one && <div className="edge edge-w" data-edge="w" aria-hidden />}
      {one && element.kind !== 'button' && element.kind !== 'group' && (element.cell.h ?? 1) > 1 && (
        <div className="edge edge-h" data-edge="h" aria-hidden />
      )}
    </div>
  );
}
