import { Box, Flex } from '@chakra-ui/react';
import { memo, useEffect, useState } from 'react';
import type { WayOut } from '../../api/client';
import { wordsOf } from '../../screen/kinds/all';
import { useBuild, useCover } from '../context';
import { SeveralPanel } from '../stage/SeveralPanel';
import { TabRow } from '../TabRow';
import { LookTab } from './look/LookTab';
import { NowLine } from './NowLine';
import { RightNow } from './RightNow';
import { isLong, Sentence } from './Sentence';
import { ScreenTab } from './screen/ScreenTab';
import { TextTab } from './TextTab';
import { MakeScreen } from './targets/MakeScreen';
import { WaysOfElement } from './WaysOfElement';
import { WayTools } from './WayTools';
import { WhyTab } from './why/WhyTab';
import { refOf } from './wiring';

const tabs = ['Way', 'Look', 'As text', 'Why'] as const;
type Tab = (typeof tabs)[number];

/** The bottom of the Screen view: the chosen way as a sentence, and what it means right now. */
export const SentencePanel = memo(function SentencePanel() {
  const { way, chosen, several, openPicker, work } = useBuild();
  const [tab, setTab] = useState<Tab>('Way');
  useEffect(() => {
    if (openPicker) setTab('Way');
  }, [openPicker]);
  const element = work.view?.elements.find((e) => e.id === chosen);
  const words = way?.words ?? (element ? wordsOf(element) : 'Not on the screen now');
  const shownTabs = way ? tabs : (['Look'] as const);
  const at: Tab = way ? tab : 'Look';
  const long = way && tab === 'Way' && isLong(way.sentence);
  return (
    <Flex
      as="section"
      aria-label={chosen ? 'The chosen way' : 'This screen'}
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
      {several.length > 1 && <SeveralPanel />}
      {chosen && several.length < 2 && (
        <>
          <Flex align="baseline" gap="16px" mb="6px">
            <Box fontWeight="800" truncate maxW="420px" title={words}>
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
});

/** What is told needs more or less room: nothing of it is to be cut off. */
function heightOf(tab: Tab, long: boolean | undefined, chosen: boolean) {
  if (!chosen) return undefined; // as low as its words
  if (tab === 'Why') return '330px';
  if (tab === 'Look') return '226px';
  return long ? '300px' : '176px';
}

/** A wire was pulled to empty ground: the screen that it leads to is made, by its name. */
function MakeByPull({ way, of }: { way: WayOut; of: string | undefined }) {
  const build = useBuild();
  useCover();
  return <MakeScreen title="" wayRef={refOf(build, way)} of={of} onClose={() => build.setPicker(undefined)} />;
}
