import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import type { RailView } from '../../api/client';
import { Glyph } from '../../ui/Glyph';
import { useScreen } from '../context';
import { edges } from './edges';
import { RailElement } from './RailElement';

interface PanelProps {
  rail: RailView;
  upright: boolean;
  held: 'absolute' | 'fixed';
  onClose: () => void;
}

/** The open drawer: it lies over the screen, which stays in reach. */
export function DrawerPanel({ rail, upright, held, onClose }: PanelProps) {
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
      boxShadow="drawer"
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
