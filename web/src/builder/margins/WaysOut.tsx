import { Box, Flex } from '@chakra-ui/react';
import { memo } from 'react';
import type { Finding } from '../../api/client';
import { FindingNote } from './FindingNote';
import { MarginHead } from './MarginHead';
import { OutPlateView } from './OutPlateView';
import type { OutPlate } from './plates';
import { useFind } from './useFind';

/** Where one can go: plates by target, findings first. A wire can be pulled onto a plate, or to empty ground. */
export const WaysOutMargin = memo(function WaysOutMargin({
  plates,
  screenFindings,
}: {
  plates: OutPlate[];
  screenFindings: Finding[];
}) {
  const { field, fits, found } = useFind(plates.length, 'Find a way out');
  const ways = plates.reduce((n, p) => n + p.ways.length, 0);
  const shown = plates.filter((p) => fits(`${p.title} ${p.ways.map((w) => `${w.words} ${w.brings ?? ''}`).join(' ')}`));
  return (
    <Box
      as="section"
      aria-label="Ways out"
      data-ground
      w="226px"
      flexShrink={0}
      overflowY="auto"
      p="10px 14px 10px 8px"
    >
      <MarginHead words="Ways out" count={`${ways}`} />
      {field}
      {screenFindings.map((f) => (
        <FindingNote key={f.words} finding={f} />
      ))}
      {plates.length === 0 && (
        <Box fontSize="note" color="muted">
          Nothing leads on from here. Add a button in an empty cell.
        </Box>
      )}
      {found && shown.length === 0 && <Box color="muted">Nothing found by that name.</Box>}
      <Flex direction="column" gap="10px">
        {shown.map((p) => (
          <OutPlateView key={p.key} plate={p} />
        ))}
      </Flex>
    </Box>
  );
});
