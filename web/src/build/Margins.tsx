import { Box, Flex } from '@chakra-ui/react';
import type { Finding, WayIn } from '../api/client';
import { Plate, type PlateTone } from '../ui/Plate';
import { useBuild } from './context';
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

/** How people get here: plates by area, with what each brings. */
export function WaysInMargin({ ways }: { ways: WayIn[] }) {
  const { open } = useBuild();
  return (
    <Box as="section" aria-label="Ways in" w="196px" flexShrink={0} overflowY="auto" p="10px 4px 10px 14px">
      <MarginHead words="Ways in" count={String(ways.length)} />
      {ways.length === 0 && (
        <Box fontSize="note" color="muted">
          No way leads here yet. It opens by its address, or as a start screen.
        </Box>
      )}
      <Flex direction="column" gap="10px">
        {ways.map((w) => (
          <Box key={`${w.screen}.${w.element}`}>
            <Box
              as="button"
              w="full"
              cursor="pointer"
              onClick={() => open(w.screen, w.element)}
              aria-label={`Go to ${w.title}, ${w.words}`}
            >
              <Plate glyph={w.glyph} title={w.title} note={w.words} tone={w.open ? 'plain' : 'ghost'} />
            </Box>
            <Box fontSize="note" lineHeight="1.3" px="4px" pt="3px" color="muted">
              {w.open ? null : `for ${w.roles} · `}
              {w.brings ? (
                <>
                  brings{' '}
                  <Box as="span" color="plum" fontWeight="650">
                    {w.brings}
                  </Box>
                  {w.none && `; ${w.none}`}
                </>
              ) : (
                'brings nothing'
              )}
            </Box>
          </Box>
        ))}
      </Flex>
    </Box>
  );
}

/** Where one can go: plates by target, findings first. */
export function WaysOutMargin({ plates, screenFindings }: { plates: OutPlate[]; screenFindings: Finding[] }) {
  const ways = plates.reduce((n, p) => n + p.ways.length, 0);
  return (
    <Box as="section" aria-label="Ways out" w="226px" flexShrink={0} overflowY="auto" p="10px 14px 10px 8px">
      <MarginHead words="Ways out" count={`${ways}`} />
      {screenFindings.map((f) => (
        <FindingNote key={f.words} finding={f} />
      ))}
      {plates.length === 0 && (
        <Box fontSize="note" color="muted">
          Nothing leads on from here. Add a button in an empty cell.
        </Box>
      )}
      <Flex direction="column" gap="10px">
        {plates.map((p) => (
          <OutPlateView key={p.key} plate={p} />
        ))}
      </Flex>
    </Box>
  );
}

function OutPlateView({ plate }: { plate: OutPlate }) {
  const { chosen, choose, open, point, way } = useBuild();
  const first = plate.ways[0];
  if (!first) return null;
  const isChosen = plate.ways.some((w) => w.element === chosen);
  const shut = plate.ways.every((w) => w.state === 'hidden' || w.state === 'greyed');
  const broken = plate.findings.some((f) => f.severity === 'broken');
  const tone: PlateTone = isChosen ? 'chosen' : broken ? 'broken' : shut ? 'ghost' : 'plain';
  const next = plate.ways[(plate.ways.findIndex((w) => w.element === chosen) + 1) % plate.ways.length] ?? first;
  return (
    <Box data-plate={plate.number} onMouseEnter={() => point(first.element)} onMouseLeave={() => point(undefined)}>
      <Box
        as="button"
        w="full"
        cursor="pointer"
        aria-label={`Way ${plate.number} to ${plate.title}`}
        onClick={() =>
          isChosen && plate.target && plate.ways.length === 1 ? open(plate.target) : choose(next.element)
        }
      >
        <Plate
          glyph={plate.glyph}
          tone={tone}
          title={<PlateTitle plate={plate} />}
          note={<PlateNote plate={plate} shown={way && isChosen ? way : first} />}
          badge={<Badge number={plate.number} />}
        />
      </Box>
      <Flex px="4px" fontSize="note" gap="8px" wrap="wrap" lineHeight="1.35">
        {isChosen && plate.target && (
          <Box
            minH="24px"
            as="button"
            color="pine"
            fontWeight="650"
            textDecoration="underline"
            cursor="pointer"
            onClick={() => plate.target && open(plate.target)}
          >
            build {plate.title}
          </Box>
        )}
      </Flex>
      {plate.findings.map((f) => (
        <FindingNote key={f.check + f.words} finding={f} />
      ))}
    </Box>
  );
}

function PlateTitle({ plate }: { plate: OutPlate }) {
  return (
    <>
      {plate.title}
      {plate.ways.length > 1 && (
        <Box as="span" fontWeight="500" color="muted">
          {' '}
          {plate.ways.length} ways
        </Box>
      )}
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
          <Box as="span" color="plum" fontWeight="650">
            {shown.brings}
          </Box>
        </>
      )}
      {!shown.how && !shown.brings && `“${shown.words}”`}
    </Box>
  );
}

function Badge({ number }: { number: number }) {
  return (
    <Box
      minW="18px"
      h="18px"
      px="4px"
      fontSize="12px"
      lineHeight="16px"
      fontWeight="800"
      textAlign="center"
      bg="amberSoft"
      color="amberText"
      borderWidth="1px"
      borderColor="amber"
      flexShrink={0}
    >
      {number}
    </Box>
  );
}
