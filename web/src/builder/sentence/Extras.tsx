import { Box } from '@chakra-ui/react';
import type { WayOut } from '../../api/client';
import type { Move } from '../../document/document.gen';
import { entityOf } from '../../document/parts';
import { mainListOf } from '../../document/screens';
import { useBuild } from '../context';
import { ChipPicker } from './chips/ChipPicker';
import type { WayPart } from './chips/chip';
import { caseId, moveOf, putInMove, refOf } from './wiring';

/** What the sentence as a whole does not say yet and could. */
export function WayExtras({ way }: { way: WayOut }) {
  const wired = isWired(way);
  const has = (part: WayPart) => way.sentence.some((c) => c.part === part);
  const rows = way.trigger === 'row' || way.trigger === 'point';
  return (
    <>
      {wired && !has('while') && <Extra way={way} part="while" words="only while" />}
      {wired && <Extra way={way} part="+case" words="or else" />}
      {wired && !way.shared && way.kind !== 'none' && <Extra way={way} part="+share" words="share it" />}
      {wired && !has('confirm') && !rows && <Extra way={way} part="confirm" words="ask before" />}
    </>
  );
}

/** What one case does not say yet and could. */
export function CaseExtras({ way, of }: { way: WayOut; of: string | undefined }) {
  const build = useBuild();
  const ref = refOf(build, way);
  const move = moveOf(ref, of);
  const target = move?.kind === 'screen' ? entityOf(build.entities, move.target, 'screen') : undefined;
  const rows = move?.kind === 'screen' && target?.elements?.[move.spot ?? '']?.kind === 'list';
  const lists = move?.kind === 'screen' && mainListOf(build.entities, move.target) !== undefined;
  const extra = (part: WayPart, words: string) => <Extra key={part} way={way} part={part} words={words} of={of} />;
  const comesBack = () => {
    const trigger = `${way.trigger}/${of ?? caseId(ref)}`;
    void build.edit(putInMove(ref, of, ['back'], {})).then(() => build.choose(way.element, trigger));
  };
  return (
    <>
      {extra('do', doWords(way))}
      {move?.kind === 'screen' && !move.carry && extra('carry', 'bring along')}
      {move?.kind === 'screen' && lists && !move.arrive && extra('arrive', 'narrowed to')}
      {move?.kind === 'screen' && !move.spot && extra('spot', 'at a spot')}
      {move?.kind === 'screen' && rows && !move.spotRow && extra('spotRow', 'at a row')}
      {move?.kind === 'step' && !move.none && extra('none', 'at the end')}
      {move?.kind === 'close' && !move.result && extra('result', 'come back with')}
      {returns(move) && !way.shared && <Offer onPress={comesBack}>when it comes back</Offer>}
    </>
  );
}

/** Whether a move opens something that comes back, and nothing is said of that yet. */
function returns(move: Move | undefined) {
  const opens = move?.kind === 'screen' || move?.kind === 'choice';
  return opens && (move.as === 'dialog' || move.as === 'drawer') && !move.back;
}

/** What is done when a screen is left leads nowhere: it is not first, and nobody stays. */
function doWords(way: WayOut) {
  if (way.trigger === 'left') return isWired(way) ? 'also do' : 'do something';
  return isWired(way) ? 'first do' : 'do something and stay';
}

function isWired(way: WayOut) {
  return !way.sentence.some((c) => c.bad && (c.part === 'target' || (c.part === 'do' && !c.item)));
}

/** One thing that could be said, with its picker. */
function Extra({ way, part, words, of }: { way: WayOut; part: WayPart; words: string; of?: string }) {
  const { openPicker, setPicker } = useBuild();
  const id = of ? `+${part}.${of}` : `+${part}`;
  const open = openPicker === id;
  return (
    <Box as="span" position="relative" display="inline-block">
      <Offer open={open} onPress={() => setPicker(open ? undefined : id)}>
        {words}
      </Offer>
      {open && <ChipPicker part={part} chunk={{ text: '', case: of }} way={way} onClose={() => setPicker(undefined)} />}
    </Box>
  );
}

function Offer({ open, onPress, children }: { open?: boolean; onPress: () => void; children: React.ReactNode }) {
  return (
    <Box
      as="button"
      {...(open === undefined ? {} : { 'aria-haspopup': 'dialog', 'aria-expanded': open })}
      onClick={onPress}
      fontSize="note"
      fontWeight="700"
      color="muted"
      px="8px"
      py="1px"
      mr="6px"
      borderWidth="1px"
      borderStyle="dashed"
      borderColor="muted"
      borderRadius="3px"
      cursor="pointer"
      _hover={{ color: 'amberText', borderColor: 'amber' }}
    >
      + {children}
    </Box>
  );
}
