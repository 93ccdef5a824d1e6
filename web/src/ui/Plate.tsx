import { Box, type BoxProps, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Glyph } from './Glyph';

export type PlateTone = 'plain' | 'chosen' | 'ghost' | 'broken' | 'dark';

const tones: Record<PlateTone, { bg: string; color: string; edge: string }> = {
  plain: { bg: 'plate', color: 'ink', edge: 'rule' },
  chosen: { bg: 'amberSoft', color: 'ink', edge: 'amber' },
  ghost: { bg: 'ghost', color: 'muted', edge: 'rule' },
  broken: { bg: 'brickSoft', color: 'brick', edge: 'brick' },
  dark: { bg: 'rail', color: 'white', edge: 'rail' },
};

interface PlateProps extends Omit<BoxProps, 'title'> {
  glyph?: string;
  title: ReactNode;
  note?: ReactNode;
  tone?: PlateTone;
  badge?: ReactNode;
  lines?: number; // that the title may take; one where plates are to be of one height
}

/** How a destination looks everywhere: a sign with a pointed right end. */
export function Plate({ glyph, title, note, tone = 'plain', badge, lines = 2, ...box }: PlateProps) {
  const t = tones[tone];
  return (
    <Box position="relative" color={t.color} textAlign="left" w="full" {...box}>
      <PlateShape bg={t.bg} edge={t.edge} />
      <Flex position="relative" align="center" gap="10px" minH="46px" py="6px" pl="10px" pr="24px">
        {glyph && (
          <Box flexShrink={0} opacity={0.85}>
            <Glyph name={glyph} />
          </Box>
        )}
        <Box minW={0} flex="1">
          <Box fontWeight="700" fontSize="text" lineHeight="1.2" lineClamp={lines} overflowWrap="anywhere">
            {title}
          </Box>
          {note && (
            <Box fontSize="note" lineHeight="1.3" color={tone === 'plain' || tone === 'chosen' ? 'muted' : 'inherit'}>
              {note}
            </Box>
          )}
        </Box>
        {badge}
      </Flex>
    </Box>
  );
}

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
