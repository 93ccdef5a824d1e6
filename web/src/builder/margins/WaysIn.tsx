import { Box, Flex } from '@chakra-ui/react';
import { memo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { WayIn } from '../../api/client';
import { Plate } from '../../ui/Plate';
import { useBuild } from '../context';
import { MarginHead } from './MarginHead';
import { many, useFind } from './useFind';

/** How people get here: plates by area, with what each brings. Areas with many fold. */
export const WaysInMargin = memo(function WaysInMargin({ ways }: { ways: WayIn[] }) {
  const { field, fits, found } = useFind(ways.length, 'Find a way in');
  const shown = ways.filter((w) => fits(`${w.title} ${w.words} ${w.area ?? ''} ${w.brings ?? ''}`));
  const areas = [...new Set(shown.map((w) => w.area ?? ''))];
  const folds = ways.length > many && !found;
  return (
    <Box as="section" aria-label="Ways in" w="196px" flexShrink={0} overflowY="auto" p="10px 4px 10px 14px">
      <MarginHead words="Ways in" count={String(ways.length)} />
      {field}
      {ways.length === 0 && (
        <Box fontSize="note" color="muted">
          No way leads here yet. It opens by its address, or as a start screen.
        </Box>
      )}
      {found && shown.length === 0 && <Box color="muted">Nothing found by that name.</Box>}
      {areas.map((area, i) => {
        const of = shown.filter((w) => (w.area ?? '') === area);
        return folds ? (
          <Folded key={area} words={`${area || 'No area'} · ${of.length}`} first={i === 0} ways={of} />
        ) : (
          <Box key={area} mb="10px">
            <InPlates ways={of} />
          </Box>
        );
      })}
    </Box>
  );
});

/** The ways of one area, drawn when it is unfolded. */
function Folded({ words, first, ways }: { words: string; first: boolean; ways: WayIn[] }) {
  const [open, setOpen] = useState(first);
  return (
    <details open={open} onToggle={(e) => setOpen(e.currentTarget.open)} style={{ marginBottom: 10 }}>
      <Box as="summary" cursor="pointer" fontWeight="700" fontSize="note" mb="6px">
        {words}
      </Box>
      {open && <InPlates ways={ways} />}
    </details>
  );
}

function InPlates({ ways }: { ways: WayIn[] }) {
  const { project, open } = useBuild();
  const navigate = useNavigate();
  const go = (w: WayIn) =>
    w.trigger === 'callup' ? void navigate(`/build/${project}/data/callups`) : open(w.screen, w.element);
  return (
    <Flex direction="column" gap="10px">
      {ways.map((w) => (
        <Box key={`${w.screen}.${w.element}.${w.trigger}`} data-target={w.screen}>
          <Box as="button" w="full" cursor="pointer" onClick={() => go(w)} aria-label={`Go to ${w.title}, ${w.words}`}>
            <Plate glyph={w.glyph} title={w.title} note={w.words} tone={w.open ? 'plain' : 'ghost'} />
          </Box>
          <div className="plate-below">
            {w.open ? null : `for ${w.roles} · `}
            {w.brings ? (
              <>
                brings <span className="plate-brings">{w.brings}</span>
                {w.none && `; ${w.none}`}
              </>
            ) : (
              'brings nothing'
            )}
          </div>
        </Box>
      ))}
    </Flex>
  );
}
