import { Flex } from '@chakra-ui/react';
import { useRef } from 'react';
import type { RailView } from '../../api/client';
import { edges } from './edges';

const away = 18; // px that a pull goes before it counts
const inwards: Record<string, [number, number]> = { left: [1, 0], right: [-1, 0], top: [0, 1], bottom: [0, -1] };

interface TabProps {
  rail: RailView;
  upright: boolean;
  held: 'absolute' | 'fixed';
  onOpen: () => void;
}

/** The tab that stands at the edge: pressed, or pulled inwards. */
export function DrawerTab({ rail, upright, held, onOpen }: TabProps) {
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
