import { Box } from '@chakra-ui/react';
import type { Chunk, WayOut } from '../api/client';
import { ChipPicker } from './ChipPicker';
import { useBuild } from './context';

const tones: Record<string, string> = { target: 'pine', record: 'plum' };

/** A way as a sentence; each chip opens what it can be changed to. */
export function Sentence({ way }: { way: WayOut }) {
  const wired = !way.sentence.some((c) => c.part === 'target' && c.bad);
  return (
    <Box fontSize="18px" lineHeight="1.75">
      {way.sentence.map((c, i) =>
        c.part ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: chunks have no other identity than their order
          <Chip key={i} chunk={c} way={way} id={chipId(way.sentence, i)} />
        ) : (
          // biome-ignore lint/suspicious/noArrayIndexKey: as above
          <span key={i}>{c.text}</span>
        ),
      )}{' '}
      <Extra way={way} wired={wired} />
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
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={() => setPicker(open ? undefined : id)}
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
        {open && <ChipPicker chunk={{ text: '', part }} way={way} onClose={() => setPicker(undefined)} />}
      </Box>
    );
  };
  return (
    <>
      {wired && !has('while') && chip('while', 'only while')}
      {chip('do', wired ? 'first do' : 'do something and stay')}
      {way.target && chip('carry', 'narrow it')}
      {wired && !has('confirm') && way.trigger !== 'row' && way.trigger !== 'point' && chip('confirm', 'ask before')}
    </>
  );
}
