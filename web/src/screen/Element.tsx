import { Box } from '@chakra-ui/react';
import { lazy, memo, type ReactNode, Suspense, useRef } from 'react';
import type { ElementView } from '../api/client';
import { ButtonElement } from './ButtonElement';
import { type BuilderHands, useMarks, useScreen } from './context';
import { FieldElement } from './form/FieldElement';
import { ImageElement } from './ImageElement';
import { ListElement } from './list/ListElement';
import { FigureElement, GaugeElement, LampElement } from './PlantElements';
import { TabsElement } from './TabsElement';
import { TextElement } from './TextElement';

const ChartElement = lazy(() => import('./ChartElement'));
const TrendElement = lazy(() => import('./TrendElement'));

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

const Drawn = memo(function Drawn({ element: e }: { element: ElementView }) {
  if (e.button) return <ButtonElement element={e} button={e.button} />;
  if (e.text) return <TextElement text={e.text} />;
  if (e.field) return <FieldElement element={e} field={e.field} />;
  if (e.tabs) return <TabsElement element={e} tabs={e.tabs} />;
  if (e.list) return <ListElement element={e} list={e.list} />;
  if (e.gauge) return <GaugeElement gauge={e.gauge} reason={e.reason} />;
  if (e.lamp) return <LampElement lamp={e.lamp} reason={e.reason} />;
  if (e.image) return <ImageElement element={e} image={e.image} />;
  if (e.figure) return <FigureElement figure={e.figure} />;
  return (
    <Suspense fallback={<Box minH="260px" />}>
      {e.chart && <ChartElement element={e} chart={e.chart} />}
      {e.trend && <TrendElement element={e} trend={e.trend} />}
    </Suspense>
  );
});

/** The first click chooses, a second on the chosen one acts. Enter does the same. */
function Frame({ element, builder, children }: { element: ElementView; builder: BuilderHands; children: ReactNode }) {
  const marks = useMarks();
  const wasChosen = useRef(false);
  const chosen = marks.chosen === element.id;
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
      data-lit={chosen || marks.lit === element.id || undefined}
      data-hidden={element.state === 'hidden' || undefined}
      onPointerDownCapture={(event) => {
        wasChosen.current = chosen;
        if (!chosen) {
          event.stopPropagation();
          builder.onChoose(element.id);
        }
      }}
      onKeyDownCapture={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        wasChosen.current = chosen;
        if (!chosen) {
          hold(event);
          builder.onChoose(element.id);
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
    </div>
  );
}
