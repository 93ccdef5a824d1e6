import { Box, Flex } from '@chakra-ui/react';
import { useNavigate } from 'react-router';
import type { AtWork } from '../../api/client';
import type { ScreenDoc } from '../../document/screens';
import { Action } from '../../ui/controls';
import { useBuild } from '../context';
import { type StageWidth, StageWidthPicker } from './StageWidth';

interface HeadProps {
  screen: ScreenDoc | undefined;
  work: AtWork;
  width: StageWidth;
  onWidth: (w: StageWidth) => void;
  onRecord: (() => void) | undefined; // undefined: a walk is being recorded
}

/** What the screen is called, and what it is for the walked user. */
export function StageHead({ screen, work, width, onWidth, onRecord }: HeadProps) {
  const { project } = useBuild();
  const navigate = useNavigate();
  return (
    <Flex align="baseline" gap="10px" minH="30px" mb="4px">
      <Box as="h1" fontSize="head" fontWeight="800" whiteSpace="nowrap">
        {screen?.title}
      </Box>
      <Box fontSize="note" color="muted" truncate>
        {screen && about(screen, work)}
      </Box>
      <Box
        as="button"
        fontSize="note"
        color="muted"
        whiteSpace="nowrap"
        cursor="pointer"
        textDecoration="underline"
        title="The path there, and back"
        onClick={() => navigate(`/build/${project}/reach/${work.screen}~${work.who}`)}
      >
        {farFrom(work)}
      </Box>
      <Box flex="1" />
      {onRecord && (
        <Action minH="28px" alignSelf="center" title="What you press from here on is kept as a walk" onClick={onRecord}>
          Record
        </Action>
      )}
      <StageWidthPicker width={width} onWidth={onWidth} />
    </Flex>
  );
}

function about(screen: ScreenDoc, work: AtWork): string {
  return `${[screen.type, screen.area, `entered by ${work.entered}`].filter(Boolean).join(' · ')}`;
}

/** How far from the start of the walked user. */
function farFrom({ presses, user, how }: AtWork): string {
  if (presses < 0) return how === 'never' ? `never for ${user}` : `no way for ${user}`;
  if (presses === 0) return `${user}’s start`;
  const maybe = how === 'maybe' ? 'maybe ' : '';
  return `${maybe}${presses} ${presses === 1 ? 'press' : 'presses'} from ${user}’s start`;
}
