import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import type { WayOut } from '../../api/client';
import { Key } from '../../ui/controls';
import { useBuild } from '../context';
import { TabRow } from '../TabRow';
import { LookTab } from './LookTab';
import { MakeScreen } from './MakeScreen';
import { RightNow } from './RightNow';
import { ScreenTab } from './ScreenTab';
import { isLong, Sentence } from './Sentence';
import { TextTab } from './TextTab';
import { WaysOfElement } from './WaysOfElement';
import { WayTools } from './WayTools';
import { WhyTab } from './WhyTab';
import { refOf } from './wiring';

const tabs = ['Way', 'Look', 'As text', 'Why'] as const;
type Tab = (typeof tabs)[number];

/** The bottom of the Screen view: the chosen way as a sentence, and what it means right now. */
export function SentencePanel() {
  const { way, chosen, openPicker, work } = useBuild();
  const [tab, setTab] = useState<Tab>('Way');
  useEffect(() => {
    if (openPicker) setTab('Way');
  }, [openPicker]);
  const words = way?.words ?? elementWords(chosen, work.view?.elements);
  const shownTabs = way ? tabs : (['Look'] as const);
  const at: Tab = way ? tab : 'Look';
  const long = way && tab === 'Way' && isLong(way.sentence);
  return (
    <Flex
      as="section"
      aria-label="The chosen way"
      direction="column"
      h={heightOf(at, long, !!chosen)}
      flexShrink={0}
      bg="plate"
      borderTopWidth="1px"
      borderColor="rule"
      px="18px"
      pt="9px"
      pb="8px"
    >
      {!chosen && <ScreenTab />}
      {chosen && (
        <>
          <Flex align="baseline" gap="16px" mb="6px">
            <Box fontWeight="800" truncate maxW="300px">
              {words}
            </Box>
            <TabRow<Tab> tabs={shownTabs} at={at} onTab={setTab} />
            <WaysOfElement />
            <Box flex="1" />
            <WayTools />
            <RightNow />
          </Flex>
          <Box role="tabpanel" aria-label={at} flex="1" minH={0} overflowY={at === 'Way' && !long ? 'visible' : 'auto'}>
            {at === 'Way' && way && <Sentence way={way} />}
            {at === 'Look' && <LookTab element={chosen} />}
            {at === 'As text' && way && <TextTab way={way} />}
            {at === 'Why' && way && <WhyTab way={way} />}
          </Box>
          {way && <NowLine />}
          {way && openPicker?.startsWith('+make') && <MakeByPull way={way} of={openPicker.split('/')[1]} />}
        </>
      )}
    </Flex>
  );
}

function elementWords(
  chosen: string | undefined,
  elements: { id: string; kind: string; field?: { label: string }; text?: { words: string } }[] | undefined,
): string {
  const e = elements?.find((x) => x.id === chosen);
  return e?.field?.label ?? e?.text?.words ?? e?.kind ?? 'Not on the screen now';
}

/** What is told needs more or less room: nothing of it is to be cut off. */
function heightOf(tab: Tab, long: boolean | undefined, chosen: boolean) {
  if (!chosen) return '196px';
  if (tab === 'Why') return '330px';
  if (tab === 'Look') return '226px';
  return long ? '300px' : '176px';
}

/** What the way means right now, for the walked user and record. */
function NowLine() {
  const { way } = useBuild();
  if (!way) return null;
  const states: Record<string, [string, string]> = {
    open: ['Open now', 'pine'],
    greyed: ['Greyed', 'amberText'],
    hidden: ['Hidden', 'brick'],
    unknown: ['Not judged', 'muted'],
  };
  const [label, color] = states[way.state] ?? ['', 'muted'];
  const part = way.verdict.part;
  const byCondition = !way.by || way.by === 'while' || way.by === 'unknown';
  const deciding = part && byCondition ? innermost(part) : undefined;
  return (
    <Flex
      align="baseline"
      gap="10px"
      fontSize="note"
      borderTopWidth="1px"
      borderTopStyle="dashed"
      borderColor="rule"
      pt="6px"
    >
      <Box fontWeight="800" color={color} whiteSpace="nowrap">
        {label}
      </Box>
      <Box flex="1" minW={0} truncate title={way.now} aria-live="polite">
        {way.now}
        {deciding && (
          <>
            {' '}
            Decided by{' '}
            <Box as="span" borderBottomWidth="2px" borderColor="amber">
              {deciding.words}
            </Box>
            .
          </>
        )}
      </Box>
      <Box color="muted" whiteSpace="nowrap">
        go there <Key>Enter</Key> · next chip <Key>Tab</Key> · undo <Key>Ctrl Z</Key>
      </Box>
    </Flex>
  );
}

interface PartLike {
  words: string;
  decides: boolean;
  parts?: PartLike[];
}

function innermost(p: PartLike): PartLike {
  const next = p.parts?.find((c) => c.decides);
  return next ? innermost(next) : p;
}

/** A wire was pulled to empty ground: the screen that it leads to is made, by its name. */
function MakeByPull({ way, of }: { way: WayOut; of: string | undefined }) {
  const build = useBuild();
  return <MakeScreen title="" wayRef={refOf(build, way)} of={of} onClose={() => build.setPicker(undefined)} />;
}
