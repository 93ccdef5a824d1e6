import { Box } from '@chakra-ui/react';
import type { Ref } from 'react';
import type { ScreenMap } from '../../../api/client';

/** Above the map: how many presses away the screens of each column are. */
export function MapColumns({ map, near, heads }: { map: ScreenMap; near: number; heads: Ref<HTMLDivElement> }) {
  return (
    <Box
      position="absolute"
      left="0"
      right="0"
      top="0"
      h="34px"
      bg="paper"
      borderBottomWidth="1px"
      borderColor="rule"
      overflow="hidden"
      aria-hidden="true"
    >
      <div ref={heads}>
        {map.columns.map((c) => (
          <Box key={c.x} position="absolute" top="5px" whiteSpace="nowrap" style={{ left: c.x * near }}>
            <Box as="span" fontWeight="800" fontSize="head">
              {c.head}
            </Box>{' '}
            {near > 0.3 && (
              <Box as="span" fontSize="note" fontWeight="700" color={c.head ? 'muted' : 'brick'}>
                {c.note}
              </Box>
            )}
          </Box>
        ))}
      </div>
    </Box>
  );
}
