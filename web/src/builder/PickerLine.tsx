import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { Glyph } from '../ui/Glyph';
import type { Choice } from './choices';

interface LineProps {
  choice: Choice;
  lit: boolean;
  onLight: () => void;
  onChoose: () => void;
}

/** One choice; the one that Enter takes is lit. */
export function PickerLine({ choice, lit, onLight, onChoose }: LineProps) {
  const line = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (lit) line.current?.scrollIntoView({ block: 'nearest' });
  }, [lit]);
  return (
    <Flex
      ref={line}
      role="option"
      aria-selected={lit}
      align="center"
      gap="9px"
      px="12px"
      py="5px"
      cursor="pointer"
      bg={lit ? 'amberSoft' : undefined}
      onMouseMove={onLight}
      onClick={onChoose}
    >
      {choice.glyph && <Glyph name={choice.glyph} size={16} />}
      <Box minW={0}>
        <Box fontWeight="600">{choice.words}</Box>
        {choice.note && (
          <Box fontSize="note" color="muted">
            {choice.note}
          </Box>
        )}
      </Box>
    </Flex>
  );
}
