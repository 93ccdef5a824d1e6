import { Box } from '@chakra-ui/react';

/** The sign's shape, stretched to whatever size it gets, with an even edge. */
export function PlateShape({ bg, edge, point = 15 }: { bg: string; edge: string; point?: number }) {
  const shape = `polygon(0 0, calc(100% - ${point}px) 0, 100% 50%, calc(100% - ${point}px) 100%, 0 100%)`;
  return (
    <>
      <Box position="absolute" inset="0" bg={edge} clipPath={shape} aria-hidden />
      <Box position="absolute" inset="1px" right="1.4px" bg={bg} clipPath={shape} aria-hidden />
    </>
  );
}
