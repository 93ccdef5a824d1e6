import { Box } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { Plate, type PlateTone } from '../../ui/Plate';
import { useBuild } from '../context';
import { FindingNote } from './FindingNote';
import type { OutPlate } from './plates';

/** One plate of the ways out: pressed, it chooses its next way; pressed again, it leads there. */
export function OutPlateView({ plate }: { plate: OutPlate }) {
  const { chosen, choose, open, point, way, work } = useBuild();
  const isChosen = plate.ways.some((w) => w.element === chosen && w.trigger === way?.trigger);
  const shut = plate.ways.every((w) => w.state === 'hidden' || w.state === 'greyed');
  const broken = plate.findings.some((f) => f.severity === 'broken');
  const tone: PlateTone = isChosen ? 'chosen' : broken ? 'broken' : shut ? 'ghost' : 'plain';
  const box = useRef<HTMLDivElement>(null);
  // The plate of what was chosen on the stage is to be seen, with its wire.
  useEffect(() => {
    if (isChosen) box.current?.scrollIntoView({ block: 'nearest' });
  }, [isChosen]);
  // Said where all ways of the plate are shut to the same.
  const shutTo = plate.ways.map(
    (w) => work.shut?.find((s) => s.element === w.element && s.trigger === w.trigger)?.roles,
  );
  const never = shutTo.every((s) => s === shutTo[0]) ? shutTo[0] : undefined;
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
      {never && <div className="plate-below">proven never open for {never}</div>}
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
