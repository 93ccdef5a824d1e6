import { Box } from '@chakra-ui/react';
import type { WayOut } from '../../api/client';
import { useBuild } from '../context';
import { text } from '../document';
import { at } from '../edit';
import { ChipPicker } from './ChipPicker';
import { casesOf } from './cases';
import { mainListOf } from './effects/actions';
import { caseId, putGate, refOf } from './wiring';

/** What the sentence as a whole does not say yet and could. */
export function WayExtras({ way }: { way: WayOut }) {
  const wired = isWired(way);
  const has = (part: string) => way.sentence.some((c) => c.part === part);
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
  const id = of ?? caseId(ref);
  const body = casesOf(ref).find((c) => c.id === id)?.body;
  const move = at(body, ['move']);
  const says = (part: string) => at(move, [part]) !== undefined;
  const kind = text(move, 'kind');
  const as = text(move, 'as');
  const opens = kind === 'screen' || kind === 'choice';
  const spot = at(build.entities, [text(move, 'target'), 'elements', text(move, 'spot')]);
  const rows = text(spot, 'kind') === 'list';
  const shared = way.shared !== undefined;
  const lists = mainListOf(build.entities, text(move, 'target')) !== undefined;
  const extra = (part: string, words: string) => <Extra key={part} way={way} part={part} words={words} of={of} />;
  const comesBack = () => {
    const trigger = `${way.trigger}/${id}`;
    void build.edit(putGate(ref, ['cases', id, 'move', 'back'], {})).then(() => build.choose(way.element, trigger));
  };
  return (
    <>
      {extra('do', doWords(way))}
      {kind === 'screen' && !says('carry') && extra('carry', 'carry along')}
      {kind === 'screen' && lists && !says('arrive') && extra('arrive', 'narrowed to')}
      {kind === 'screen' && !says('spot') && extra('spot', 'at a spot')}
      {rows && !says('spotRow') && extra('spotRow', 'at a row')}
      {kind === 'step' && !says('none') && extra('none', 'at the end')}
      {kind === 'close' && !says('result') && extra('result', 'come back with')}
      {opens && (as === 'dialog' || as === 'drawer') && !says('back') && !shared && (
        <Offer onPress={comesBack}>when it comes back</Offer>
      )}
    </>
  );
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
function Extra({ way, part, words, of }: { way: WayOut; part: string; words: string; of?: string }) {
  const { openPicker, setPicker } = useBuild();
  const id = of ? `+${part}.${of}` : `+${part}`;
  const open = openPicker === id;
  return (
    <Box as="span" position="relative" display="inline-block">
      <Offer open={open} onPress={() => setPicker(open ? undefined : id)}>
        {words}
      </Offer>
      {open && <ChipPicker chunk={{ text: '', part, case: of }} way={way} onClose={() => setPicker(undefined)} />}
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
