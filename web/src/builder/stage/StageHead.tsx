import { Box, Flex } from '@chakra-ui/react';
import type { AtWork } from '../../api/client';
import type { ScreenDoc } from '../../document/screens';
import { type StageWidth, StageWidthPicker } from './StageWidth';

interface HeadProps {
  screen: ScreenDoc | undefined;
  work: AtWork;
  width: StageWidth;
  onWidth: (w: StageWidth) => void;
}

/** What the screen is called, and what it is for the walked user. */
export function StageHead({ screen, work, width, onWidth }: HeadProps) {
  return (
    <Flex align="baseline" gap="10px" minH="30px" mb="4px">
      <Box as="h1" fontSize="head" fontWeight="800" whiteSpace="nowrap">
        {screen?.title}
      </Box>
      <Box fontSize="note" color="muted" truncate>
        {screen && about(screen, work)}
      </Box>
      <Box flex="1" />
      <StageWidthPicker width={width} onWidth={onWidth} />
    </Flex>
  );
}

function about(screen: ScreenDoc, work: AtWork): string {
  return [screen.type, screen.area, `entered by ${work.entered}`, farFrom(work)].filter(Boolean).join(' · ');
}

/** How far from the start of the walked user. */
function farFrom({ presses, user }: AtWork): string {
  if (presses < 0) return `no way for ${user}`;
  if (presses === 0) return `${user}’s start`;
  return `${presses} ${presses === 1 ? 'press' : 'presses'} from ${user}’s start`;
}
