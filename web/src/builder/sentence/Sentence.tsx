import { Box, Flex } from '@chakra-ui/react';
import type { Chunk, WayOut } from '../../api/client';
import { Chip } from './Chip';
import { isWayPart } from './chips/all';
import { CaseExtras, WayExtras } from './Extras';

/** A way as a sentence; each chip opens what it can be changed to. A long one is told in lines. */
export function Sentence({ way }: { way: WayOut }) {
  if (isLong(way.sentence)) return <Lines way={way} />;
  return (
    <Box fontSize="18px" lineHeight="1.75">
      {way.sentence.map((c, i) => (
        <Piece key={keyOf(way.sentence, i)} way={way} at={i} text={c.text} />
      ))}{' '}
      <CaseExtras way={way} of={undefined} />
      <WayExtras way={way} />
    </Box>
  );
}

function keyOf(sentence: Chunk[], i: number) {
  return `${i}.${sentence[i]?.part ?? ''}`;
}

function Piece({ way, at, text }: { way: WayOut; at: number; text: string }) {
  const c = way.sentence[at];
  if (!c || !isWayPart(c.part)) return <span>{text}</span>;
  return <Chip part={c.part} chunk={c} way={way} id={chipId(way.sentence, at)} />;
}

/** More than two actions, several cases or a long condition do not read as running text any more. */
export function isLong(sentence: Chunk[]) {
  const actions = sentence.filter((c) => c.part === 'do').length;
  const cases = sentence.filter((c) => c.line === 'else').length;
  const words = sentence.find((c) => c.part === 'while')?.text ?? '';
  return actions > 2 || cases > 0 || words.split(/ and | or /).length > 3;
}

/** When, for, while, 1 to n, otherwise: each on its line. */
function Lines({ way }: { way: WayOut }) {
  const lines: { label: string; from: number; to: number }[] = [];
  way.sentence.forEach((c, i) => {
    const last = lines[lines.length - 1];
    if (c.line || !last) lines.push({ label: c.line ?? '', from: i, to: i + 1 });
    else last.to = i + 1;
  });
  // Each of several cases says below its own lines what it could say.
  const several = way.sentence.some((c) => c.line === 'else');
  const caseOf = (l: { from: number; to: number }) => way.sentence.slice(l.from, l.to).findLast((c) => c.case)?.case;
  const ends = (i: number) => {
    const line = lines[i];
    const id = several && line ? caseOf(line) : undefined;
    return id && !lines.slice(i + 1).some((l) => caseOf(l) === id) ? id : undefined;
  };
  return (
    <Box fontSize="16px" lineHeight="1.6">
      <Box as="ol" listStyleType="none">
        {lines.map((l, i) => (
          <Flex as="li" key={`${l.label}.${l.from}`} gap="12px" align="baseline">
            <Box w="74px" flexShrink={0} textAlign="right" color="muted" fontSize="note" fontWeight="700">
              {l.label}
            </Box>
            <Box flex="1" minW={0}>
              {way.sentence.slice(l.from, l.to).map((c, k) => (
                <Piece key={keyOf(way.sentence, l.from + k)} way={way} at={l.from + k} text={c.line ? '' : c.text} />
              ))}{' '}
              {ends(i) && <CaseExtras way={way} of={ends(i)} />}
            </Box>
          </Flex>
        ))}
      </Box>
      <Box pl="86px">
        {!several && <CaseExtras way={way} of={undefined} />}
        <WayExtras way={way} />
      </Box>
    </Box>
  );
}

/** Chips of the same part are told apart by which of them they are. */
function chipId(sentence: Chunk[], i: number): string {
  const c = sentence[i];
  const before = sentence.slice(0, i).filter((x) => x.part === c?.part).length;
  return before === 0 ? (c?.part ?? '') : `${c?.part}.${before}`;
}
