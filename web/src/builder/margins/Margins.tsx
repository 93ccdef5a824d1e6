import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import type { Finding, WayIn } from '../../api/client';
import { Line } from '../../ui/controls';
import { Plate, type PlateTone } from '../../ui/Plate';
import { useBuild } from '../context';
import { FindingNote } from './FindingNote';
import type { OutPlate } from './plates';

function MarginHead({ words, count }: { words: string; count: string }) {
  return (
    <Flex
      justify="space-between"
      fontSize="12px"
      fontWeight="700"
      letterSpacing="0.06em"
      color="muted"
      mb="8px"
      px="2px"
    >
      <Box as="h2" textTransform="uppercase">
        {words}
      </Box>
      <Box>{count}</Box>
    </Flex>
  );
}

const many = 12; // plates from which a margin gets a field to find one among them

/** Finds among many plates by any word of them. */
function useFind(n: number, label: string) {
  const [find, setFind] = useState('');
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (text: string) => words.every((w) => text.toLowerCase().includes(w));
  const field = n > many && (
    <Box mb="8px">
      <Line aria-label={label} placeholder="find" value={find} onChange={(e) => setFind(e.target.value)} />
    </Box>
  );
  return { field, fits, found: words.length > 0 };
}

/** How people get here: plates by area, with what each brings. Areas with many fold. */
export function WaysInMargin({ ways }: { ways: WayIn[] }) {
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
      {found && shown.length === 0 && <Box color="muted">Nothing is called that.</Box>}
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
}

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
  const { open } = useBuild();
  return (
    <Flex direction="column" gap="10px">
      {ways.map((w) => (
        <Box key={`${w.screen}.${w.element}.${w.trigger}`} data-target={w.screen}>
          <Box
            as="button"
            w="full"
            cursor="pointer"
            onClick={() => open(w.screen, w.element)}
            aria-label={`Go to ${w.title}, ${w.words}`}
          >
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

/** Where one can go: plates by target, findings first. A wire can be pulled onto a plate, or to empty ground. */
export function WaysOutMargin({ plates, screenFindings }: { plates: OutPlate[]; screenFindings: Finding[] }) {
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
      {found && shown.length === 0 && <Box color="muted">Nothing is called that.</Box>}
      <Flex direction="column" gap="10px">
        {shown.map((p) => (
          <OutPlateView key={p.key} plate={p} />
        ))}
      </Flex>
    </Box>
  );
}

function OutPlateView({ plate }: { plate: OutPlate }) {
  const { chosen, choose, open, point, way } = useBuild();
  const isChosen = plate.ways.some((w) => w.element === chosen && w.trigger === way?.trigger);
  const shut = plate.ways.every((w) => w.state === 'hidden' || w.state === 'greyed');
  const broken = plate.findings.some((f) => f.severity === 'broken');
  const tone: PlateTone = isChosen ? 'chosen' : broken ? 'broken' : shut ? 'ghost' : 'plain';
  const box = useRef<HTMLDivElement>(null);
  // The plate of what was chosen on the stage is to be seen, with its wire.
  useEffect(() => {
    if (isChosen) box.current?.scrollIntoView({ block: 'nearest' });
  }, [isChosen]);
  const first = plate.ways[0];
  if (!first) return null;
  const next =
    plate.ways[
      (plate.ways.findIndex((w) => w.element === chosen && w.trigger === way?.trigger) + 1) % plate.ways.length
    ] ?? first;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: pointing at a plate only shows its wire
    <div
      ref={box}
      data-plate={plate.number}
      data-target={plate.target}
      onMouseEnter={() => point(first.element)}
      onMouseLeave={() => point(undefined)}
    >
      <Box
        as="button"
        w="full"
        cursor="pointer"
        aria-label={`Way ${plate.number} to ${plate.title}`}
        onClick={() =>
          isChosen && plate.target && plate.ways.length === 1 ? open(plate.target) : choose(next.element, next.trigger)
        }
      >
        <Plate
          glyph={plate.glyph}
          tone={tone}
          title={<PlateTitle plate={plate} />}
          note={<PlateNote plate={plate} shown={way && isChosen ? way : first} />}
          badge={plate.number}
        />
      </Box>
      {isChosen && plate.target && (
        <Box
          as="button"
          minH="24px"
          px="4px"
          fontSize="note"
          color="pine"
          fontWeight="650"
          textDecoration="underline"
          cursor="pointer"
          onClick={() => plate.target && open(plate.target)}
        >
          build {plate.title}
        </Box>
      )}
      {plate.findings.map((f) => (
        <FindingNote key={f.check + f.words} finding={f} />
      ))}
    </div>
  );
}

function PlateTitle({ plate }: { plate: OutPlate }) {
  return (
    <>
      {plate.title}
      {plate.ways.length > 1 && <span className="plate-count"> {plate.ways.length} ways</span>}
    </>
  );
}

function PlateNote({ plate, shown }: { plate: OutPlate; shown: OutPlate['ways'][number] }) {
  if (plate.ways.length === 1 && (shown.state === 'hidden' || shown.state === 'greyed')) {
    return <Box lineClamp={2}>{shown.state === 'hidden' ? `hidden: ${shown.reason}` : `greyed: ${shown.reason}`}</Box>;
  }
  return (
    <Box truncate>
      {shown.how}
      {shown.brings && (
        <>
          {shown.how && ' · '}
          <span className="plate-brings">{shown.brings}</span>
        </>
      )}
      {!shown.how && !shown.brings && `“${shown.words}”`}
    </Box>
  );
}
