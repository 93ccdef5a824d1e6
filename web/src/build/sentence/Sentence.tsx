import { Box, Flex } from '@chakra-ui/react';
import type { Chunk, WayOut } from '../../api/client';
import { useBuild } from '../context';
import { ChipPicker } from './ChipPicker';

const tones: Record<string, string> = { target: 'pine', record: 'plum' };

/** A way as a sentence; each chip opens what it can be changed to. A long one is told in lines. */
export function Sentence({ way }: { way: WayOut }) {
  const wired = !way.sentence.some((c) => c.part === 'target' && c.bad);
  const extra = <Extra way={way} wired={wired} />;
  if (isLong(way.sentence)) return <Lines way={way} extra={extra} />;
  return (
    <Box fontSize="18px" lineHeight="1.75">
      {way.sentence.map((c, i) => (
        <Piece key={keyOf(way.sentence, i)} way={way} at={i} text={c.text} />
      ))}{' '}
      {extra}
    </Box>
  );
}

function keyOf(sentence: Chunk[], i: number) {
  return `${i}.${sentence[i]?.part ?? ''}`;
}

function Piece({ way, at, text }: { way: WayOut; at: number; text: string }) {
  const c = way.sentence[at];
  if (!c?.part) return <span>{text}</span>;
  return <Chip chunk={c} way={way} id={chipId(way.sentence, at)} />;
}

/** More than two actions, several cases or a long condition do not read as running text any more. */
export function isLong(sentence: Chunk[]) {
  const actions = sentence.filter((c) => c.part === 'do').length;
  const cases = sentence.filter((c) => c.line === 'else').length;
  const words = sentence.find((c) => c.part === 'while')?.text ?? '';
  return actions > 2 || cases > 0 || words.split(/ and | or /).length > 3;
}

/** When, for, while, 1 to n, otherwise: each on its line. */
function Lines({ way, extra }: { way: WayOut; extra: React.ReactNode }) {
  const lines: { label: string; from: number; to: number }[] = [];
  way.sentence.forEach((c, i) => {
    const last = lines[lines.length - 1];
    if (c.line || !last) lines.push({ label: c.line ?? '', from: i, to: i + 1 });
    else last.to = i + 1;
  });
  return (
    <Box fontSize="16px" lineHeight="1.6">
      <Box as="ol" listStyleType="none">
        {lines.map((l) => (
          <Flex as="li" key={`${l.label}.${l.from}`} gap="12px" align="baseline">
            <Box w="74px" flexShrink={0} textAlign="right" color="muted" fontSize="note" fontWeight="700">
              {l.label}
            </Box>
            <Box flex="1" minW={0}>
              {way.sentence.slice(l.from, l.to).map((c, k) => (
                <Piece key={keyOf(way.sentence, l.from + k)} way={way} at={l.from + k} text={c.line ? '' : c.text} />
              ))}
            </Box>
          </Flex>
        ))}
      </Box>
      <Box pl="86px">{extra}</Box>
    </Box>
  );
}

/** Chips of the same part are told apart by which of them they are. */
function chipId(sentence: Chunk[], i: number): string {
  const c = sentence[i];
  const before = sentence.slice(0, i).filter((x) => x.part === c?.part).length;
  return before === 0 ? (c?.part ?? '') : `${c?.part}.${before}`;
}

function Chip({ chunk, way, id }: { chunk: Chunk; way: WayOut; id: string }) {
  const { openPicker, setPicker } = useBuild();
  const open = openPicker === id;
  const color = chunk.bad ? 'brick' : chunk.tone ? tones[chunk.tone] : 'ink';
  return (
    <Box as="span" position="relative" display="inline-block">
      <Box
        as="button"
        data-chip
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={() => setPicker(open ? undefined : id)}
        onKeyDown={alongChips}
        color={color}
        fontWeight="700"
        px="2px"
        borderBottomWidth="2px"
        borderBottomStyle={chunk.bad ? 'dashed' : 'solid'}
        borderColor={chunk.bad ? 'brick' : open ? 'amber' : 'rule'}
        bg={open ? 'amberSoft' : undefined}
        cursor="pointer"
        textAlign="left"
        lineHeight="1.35"
        _hover={{ borderColor: 'amber' }}
      >
        {chunk.text}
      </Box>
      {open && <ChipPicker chunk={chunk} way={way} onClose={() => setPicker(undefined)} />}
    </Box>
  );
}

/** What the sentence does not say yet and could. */
function Extra({ way, wired }: { way: WayOut; wired: boolean }) {
  const { openPicker, setPicker } = useBuild();
  const moves = way.kind === 'screen';
  const has = (part: string) => way.sentence.some((c) => c.part === part);
  const chip = (part: string, words: string) => {
    const open = openPicker === `+${part}`;
    return (
      <Box as="span" position="relative" display="inline-block" mr="6px" key={part}>
        <Box
          as="button"
          aria-haspopup="dialog"
          aria-expanded={open}
          onClick={() => setPicker(open ? undefined : `+${part}`)}
          fontSize="note"
          fontWeight="700"
          color="muted"
          px="8px"
          py="1px"
          borderWidth="1px"
          borderStyle="dashed"
          borderColor="muted"
          borderRadius="3px"
          cursor="pointer"
          _hover={{ color: 'amberText', borderColor: 'amber' }}
        >
          + {words}
        </Box>
        {open && <ChipPicker chunk={{ text: '', part: part }} way={way} onClose={() => setPicker(undefined)} />}
      </Box>
    );
  };
  return (
    <>
      {wired && !has('while') && chip('while', 'only while')}
      {chip('do', wired ? 'first do' : 'do something and stay')}
      {moves && !has('carry') && chip('carry', 'carry along')}
      {moves && !has('spot') && chip('spot', 'at a spot')}
      {wired && way.kind === 'step' && !has('none') && chip('none', 'at the end')}
      {wired && chip('+case', 'or else')}
      {wired && !way.shared && way.kind !== 'none' && chip('+share', 'share it')}
      {wired && !has('confirm') && way.trigger !== 'row' && way.trigger !== 'point' && chip('confirm', 'ask before')}
    </>
  );
}

/** Arrows go from chip to chip, as Tab does. */
function alongChips(e: React.KeyboardEvent) {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[e.key];
  if (!by || e.target !== e.currentTarget) return;
  const all = [...document.querySelectorAll<HTMLElement>('[data-chip]')];
  all[all.indexOf(e.currentTarget as HTMLElement) + by]?.focus();
  e.preventDefault();
}
