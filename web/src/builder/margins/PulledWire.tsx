import { Box } from '@chakra-ui/react';
import { colour } from '../../ui/theme/colours';
import type { Pulled } from './usePull';

/** The wire that is being pulled. */
export function PulledWire({ pulled }: { pulled: Pulled }) {
  return (
    <Box asChild position="fixed" inset="0" w="full" h="full" pointerEvents="none" zIndex="popover">
      <svg aria-hidden="true">
        <line
          x1={pulled.from.x}
          y1={pulled.from.y}
          x2={pulled.to.x}
          y2={pulled.to.y}
          stroke={colour('amber')}
          strokeWidth="2.5"
        />
        <circle cx={pulled.to.x} cy={pulled.to.y} r="5" fill={colour('amber')} />
      </svg>
    </Box>
  );
}
