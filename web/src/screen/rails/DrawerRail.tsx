import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import type { RailView } from '../../api/client';
import { Glyph } from '../../ui/Glyph';
import { useMarks, useScreen } from '../context';
import { RailElement } from './RailElement';

const away = 18; // px that a pull goes before it counts

/** A rail that comes when it is asked for: by a gate, a touch at its edge, or its tab. */
export function DrawerRail({ rail }: { rail: RailView }) {
  const { drawers, builder } = useScreen();
  const marks = useMarks();
  const chosen = rail.elements.some((e) => e.id === marks.chosen || e.id === marks.lit);
  const open = drawers?.open === rail.id || chosen;
  const upright = rail.edge === 'left' || rail.edge === 'right';
  const held = builder ? 'absolute' : 'fixed';
  const edge = edges[rail.edge] ?? edges.right;
  const put = (how: string) => drawers?.put(rail.id, how);
  if (open) return <Panel rail={rail} upright={upright} held={held} onClose={() => put('close')} />;
  return (
    <>
      {rail.drawer?.touch && (
        <Box
          aria-hidden
          data-edge={rail.id}
          position={held}
          zIndex="docked"
          {...edge}
          {...(upright ? { top: 0, bottom: 0, w: '12px' } : { left: 0, right: 0, h: '12px' })}
          onPointerDown={(e) => e.isPrimary && put('open')}
        />
      )}
      {rail.drawer?.pull && <Tab rail={rail} upright={upright} held={held} onOpen={() => put('open')} />}
    </>
  );
}

const edges: Record<string, object> = {
  left: { left: 0 },
  right: { right: 0 },
  top: { top: 0 },
  bottom: { bottom: 0 },
};
const inwards: Record<string, [number, number]> = { left: [1, 0], right: [-1, 0], top: [0, 1], bottom: [0, -1] };

interface TabProps {
  rail: RailView;
  upright: boolean;
  held: 'absolute' | 'fixed';
  onOpen: () => void;
}

/** The tab that stands at the edge: pressed, or pulled inwards. */
function Tab({ rail, upright, held, onOpen }: TabProps) {
  const from = useRef<{ x: number; y: number }>(undefined);
  const [dx = 0, dy = 0] = inwards[rail.edge] ?? [];
  return (
    <Flex
      as="button"
      aria-expanded={false}
      aria-label={`Open ${rail.name}`}
      title={rail.name}
      position={held}
      zIndex="docked"
      {...edges[rail.edge]}
      {...(upright
        ? { top: '50%', transform: 'translateY(-50%)', writingMode: 'vertical-rl', p: '14px 5px' }
        : { left: '50%', transform: 'translateX(-50%)', p: '5px 14px' })}
      gap="6px"
      align="center"
      bg="ink"
      color="paper"
      fontSize="note"
      fontWeight="700"
      borderRadius={{ left: '0 6px 6px 0', right: '6px 0 0 6px', top: '0 0 6px 6px', bottom: '6px 6px 0 0' }[rail.edge]}
      cursor="pointer"
      css={{ touchAction: 'none' }}
      onClick={onOpen}
      onPointerDown={(e: React.PointerEvent) => {
        from.current = { x: e.clientX, y: e.clientY };
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerMove={(e: React.PointerEvent) => {
        const at = from.current;
        if (at && (e.clientX - at.x) * dx + (e.clientY - at.y) * dy > away) onOpen();
      }}
      onPointerUp={() => {
        from.current = undefined;
      }}
    >
      {rail.name}
    </Flex>
  );
}

interface PanelProps {
  rail: RailView;
  upright: boolean;
  held: 'absolute' | 'fixed';
  onClose: () => void;
}

/** The open drawer: it lies over the screen, which stays in reach. */
function Panel({ rail, upright, held, onClose }: PanelProps) {
  const { builder, view } = useScreen();
  const top = builder || view.bare ? 0 : '44px'; // below the strip
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (builder) return;
    const before = document.activeElement;
    box.current?.querySelector<HTMLElement>('a, button')?.focus();
    return () => {
      if (before instanceof HTMLElement && document.activeElement === document.body) before.focus();
    };
  }, [builder]);
  const size = rail.drawer?.size ? `${rail.drawer.size}px` : upright ? '230px' : undefined;
  return (
    <Flex
      as="nav"
      aria-label={rail.name}
      data-rail={rail.id}
      position={held}
      zIndex="overlay"
      {...edges[rail.edge]}
      {...(rail.edge === 'top' ? { top } : {})}
      {...(upright ? { top, bottom: 0, w: size, maxW: '92%' } : { left: 0, right: 0, h: size })}
      direction="column"
      bg="plate"
      boxShadow="0 0 24px rgba(32,38,46,0.28)"
      borderColor="ink"
      {...{ [`border${{ left: 'Right', right: 'Left', top: 'Bottom', bottom: 'Top' }[rail.edge]}Width`]: '4px' }}
      animation={builder ? undefined : 'fade-in 150ms'}
      _motionReduce={{ animation: 'none' }}
    >
      <Flex align="center" px="14px" minH="48px" borderBottomWidth="1px" borderColor="rule">
        <Box flex="1" fontWeight="800">
          {rail.name}
        </Box>
        <Flex
          as="button"
          aria-label={`Close ${rail.name}`}
          w="36px"
          h="36px"
          align="center"
          justify="center"
          cursor="pointer"
          borderRadius="4px"
          _hover={{ bg: 'faint' }}
          onClick={onClose}
        >
          <Glyph name="close" size={18} />
        </Flex>
      </Flex>
      <Flex
        ref={box}
        direction={upright ? 'column' : 'row'}
        wrap="wrap"
        gap="2px"
        p="8px 10px"
        overflowY="auto"
        flex="1"
      >
        {rail.elements.map((e) => (
          <RailElement key={e.id} element={e} upright={upright} />
        ))}
      </Flex>
    </Flex>
  );
}
