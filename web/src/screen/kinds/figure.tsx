import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useScreen } from '../context';
import type { ElementKind, OfKind } from './kind';

/** A picture with live words at places on it. */
export const figure: ElementKind<'figure'> = { Draw: Figure, grows: true };

function Figure({ element }: { element: OfKind<'figure'> }) {
  const { figure } = element;
  const { pictures } = useScreen();
  const [ratio, setRatio] = useState<number>(); // width to height
  if (!figure.digest) return <div className="field-error">{figure.words}</div>;
  return (
    <Flex align="center" justify="center" h="full" minH={0}>
      {/* Pictures are drawn for light ground. */}
      <Box
        className="light"
        position="relative"
        w="full"
        maxW={ratio ? `min(640px, calc(100cqh * ${ratio}))` : '640px'} // no taller than its place, whatever is written on it
        bg="plant.panel"
        borderRadius="4px"
      >
        <Box asChild w="full" display="block">
          <img
            src={pictures + figure.digest}
            alt={figure.words}
            onLoad={(e) => setRatio(e.currentTarget.naturalWidth / e.currentTarget.naturalHeight || undefined)}
          />
        </Box>
        {figure.marks.map((m) => (
          <Box
            key={m.id}
            data-fixed={m.id} // which a builder can drag
            data-x={m.x}
            data-y={m.y}
            position="absolute"
            left={`${m.x}%`}
            top={`${m.y}%`}
            px="6px"
            py="1px"
            fontSize="text"
            fontWeight="800"
            whiteSpace="nowrap"
            bg="plant.panel"
            borderRadius="3px"
            color={m.abnormal ? 'plant.alarm' : 'plant.ink'}
          >
            {m.abnormal && '▲ '}
            {m.words}
          </Box>
        ))}
      </Box>
    </Flex>
  );
}
