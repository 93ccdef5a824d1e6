import { Box, Flex } from '@chakra-ui/react';
import { useScreen } from '../context';
import type { ElementKind, OfKind } from './kind';

/** A picture with live words at places on it. */
export const figure: ElementKind<'figure'> = { Draw: Figure, grows: true };

function Figure({ element }: { element: OfKind<'figure'> }) {
  const { figure } = element;
  const { pictures } = useScreen();
  if (!figure.digest) return <div className="field-error">{figure.words}</div>;
  return (
    <Flex align="center" justify="center" h="full" minH={0}>
      {/* Pictures are drawn for light ground. */}
      <Box className="light" position="relative" w="full" maxW="640px" bg="plant.panel" borderRadius="4px">
        <Box asChild w="full" display="block">
          <img src={pictures + figure.digest} alt={figure.words} />
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
