import { Box } from '@chakra-ui/react';
import { lazy, type ReactNode, Suspense, useRef } from 'react';
import type { ElementView } from '../api/client';
import { ButtonElement } from './ButtonElement';
import { useScreen } from './context';
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
  return builder ? <Frame element={element}>{drawn}</Frame> : drawn;
}

function Drawn({ element: e }: { element: ElementView }) {
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
}

/** The first click chooses, a second on the chosen one acts. Enter does the same. */
function Frame({ element, children }: { element: ElementView; children: ReactNode }) {
  const { builder } = useScreen();
  const wasChosen = useRef(false);
  if (!builder) return children;
  const chosen = builder.chosen === element.id;
  const number = builder.numbers[element.id];
  const hold = (event: React.SyntheticEvent) => {
    if (wasChosen.current) return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <Box
      position="relative"
      data-element={element.id}
      borderRadius="5px"
      outline={chosen || builder.lit === element.id ? '2px solid' : undefined}
      outlineColor="amber"
      outlineOffset="3px"
      opacity={element.state === 'hidden' ? 0.6 : 1}
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
      {number !== undefined && <Notch number={number} chosen={chosen} />}
    </Box>
  );
}

/** The small square under an element that a wire leaves from; its number is that of the plate. */
function Notch({ number, chosen }: { number: number; chosen: boolean }) {
  return (
    <Box
      data-notch
      position="absolute"
      left="10px"
      bottom="-9px"
      minW="16px"
      h="16px"
      px="3px"
      fontSize="11px"
      lineHeight="14px"
      fontWeight="800"
      textAlign="center"
      bg={chosen ? 'amber' : 'amberSoft'}
      color={chosen ? 'white' : 'amberText'}
      borderWidth="1px"
      borderColor="amber"
      aria-hidden
    >
      {number}
    </Box>
  );
}
