import { Box, Flex, Heading } from '@chakra-ui/react';
import { memo, useEffect, useRef, useState } from 'react';
import type { View } from '../api/client';
import { useScreen, useView } from './context';
import { Element } from './Element';
import { AddInFrame, EmptyCells } from './EmptyCells';
import { kindOf, known } from './kinds/all';
import { type Panel, panelsOf, samePanel } from './layout';

/**
 * An operator screen has this shape and is scaled as a whole; where more stands below each other than fits, one scrolls. A
 * box that is wider than its shape is filled with somewhat wider panels, so far as they stay the same picture.
 */
const shape = { w: 1280, h: 752, widest: 1500 };
const head = 40; // px: the heading
const edges = { top: 14, bottom: 16 };

/** What grows takes the room that is left, on the builder’s stage too, where a frame is around it. */
const grown = { flex: '1', containerType: 'size', css: { '& > .frame': { height: '100%' } } } as const;

/** An operator screen: panels of elements that stand in the same columns, on grey ground. */
export function OperatorSheet({ headingRef }: { headingRef?: React.Ref<HTMLHeadingElement> }) {
  const { builder } = useScreen();
  const view = useView();
  const { box, sheet, scale, height, width, aside } = useScale();
  const panels = panelsOf(view);
  const frames = view.elements.filter((e) => e.kind === 'group');
  const rows = Math.max(
    1,
    ...panels.map((p) => p.row + p.h - 1),
    ...frames.map((e) => e.cell.row + (e.cell.h ?? 1) - 1),
  );
  return (
    <Box
      ref={box}
      bg="plant.ground"
      w="full"
      h="full"
      minH={builder || height > shape.h ? `${height * scale}px` : undefined}
      position="relative"
      overflow="hidden"
      data-palette="plant"
    >
      <Box
        ref={sheet}
        position="absolute" // as tall as it is, it is not to stretch what it is fitted to
        left={`${aside}px`}
        w={`${width}px`}
        transform={`scale(${scale})`}
        transformOrigin="0 0"
        p={`${edges.top}px 16px ${edges.bottom}px`}
        color="plant.ink"
      >
        <Flex align="baseline" gap="14px" minH={`${head}px`}>
          <Heading
            ref={headingRef}
            as="h1"
            tabIndex={-1}
            fontSize="title"
            fontWeight="800"
            color="plant.ink"
            _focusVisible={{ outline: 'none' }}
          >
            {view.heading}
          </Heading>
          <Quality view={view} />
        </Flex>
        <Box
          display="grid"
          gridTemplateColumns="repeat(12, minmax(0, 1fr))"
          gridTemplateRows={`repeat(${rows}, minmax(min-content, 1fr))`}
          gap="0 12px"
          minH={`${shape.h - head - edges.top - edges.bottom}px`}
          data-sheet={rows}
        >
          {frames.map((e) => (
            <Box
              key={e.id}
              role="group"
              aria-label={e.kind === 'group' ? e.group.words : undefined}
              gridColumn={`${e.cell.col} / span ${e.cell.w}`}
              gridRow={`${e.cell.row} / span ${Math.max(1, e.cell.h ?? 1)}`}
              position="relative"
              borderWidth="1.5px"
              borderColor="plant.soft"
              borderRadius="5px"
              p="4px 12px"
              mb="6px"
              mx="-6px"
            >
              <Element element={e} />
              {builder && <AddInFrame frame={e} />}
            </Box>
          ))}
          {panels.map((p) => (
            <PanelBox key={`${p.row}.${p.col}`} panel={p} />
          ))}
          {builder && <EmptyCells view={view} rows={Array.from({ length: rows }, (_, i) => i + 1)} />}
        </Box>
      </Box>
    </Box>
  );
}

/** A panel, drawn anew only where something on it changes: values come several times a second, day and night. */
const PanelBox = memo(
  function PanelBox({ panel }: { panel: Panel }) {
    return (
      <Flex
        direction="column"
        gap="9px"
        gridColumn={`${panel.col} / span ${panel.w}`}
        gridRow={`${panel.row} / span ${panel.h}`}
        bg="plant.panel"
        borderWidth="1px"
        borderColor="plant.edge"
        borderRadius="3px"
        p="10px 12px"
        mb="12px"
      >
        {panel.elements.map((e) => (
          <Box key={e.id} {...(kindOf(e).grows ? grown : { flexShrink: 0 })}>
            <Element element={e} />
          </Box>
        ))}
      </Flex>
    );
  },
  (before, after) => samePanel(before.panel, after.panel),
);

/** Says in words whether the values can be believed. */
function Quality({ view }: { view: View }) {
  const live = view.elements.filter((e) => known(e) !== undefined);
  const bad = live.filter((e) => !known(e));
  if (live.length === 0) return null;
  if (bad.length === 0)
    return (
      <Box color="plant.soft">
        plant connected · {live.length} {live.length === 1 ? 'value' : 'values'} good
      </Box>
    );
  return (
    <Box color="white" bg="plant.alarm" px="8px" borderRadius="3px" fontWeight="700" role="status">
      {bad.length} of {live.length} values not available{bad[0]?.reason ? `: ${bad[0].reason}` : ''}
    </Box>
  );
}

/** How much the shape has to be scaled to fit the box, how wide and tall the sheet is before that, and what is left of it. */
function useScale() {
  const box = useRef<HTMLDivElement>(null);
  const sheet = useRef<HTMLDivElement>(null);
  const [fit, setFit] = useState({ scale: 1, height: shape.h, width: shape.w, aside: 0 });
  useEffect(() => {
    const el = box.current;
    if (!el) return;
    const measure = () => {
      const height = sheet.current?.offsetHeight ?? shape.h;
      const room = el.parentElement ?? el;
      const byHeight = room.clientHeight > 300 ? room.clientHeight / shape.h : Number.POSITIVE_INFINITY;
      const scale = Math.min(el.clientWidth / shape.w, byHeight) || 1;
      const width = Math.floor(Math.min(shape.widest, Math.max(shape.w, el.clientWidth / scale)));
      const aside = Math.max(0, Math.floor((el.clientWidth - width * scale) / 2));
      setFit((was) =>
        was.scale === scale && was.height === height && was.width === width && was.aside === aside
          ? was
          : { scale, height, width, aside },
      );
    };
    measure();
    const watch = new ResizeObserver(measure);
    for (const one of [el, el.parentElement, sheet.current]) if (one) watch.observe(one);
    return () => watch.disconnect();
  }, []);
  return { box, sheet, ...fit };
}
