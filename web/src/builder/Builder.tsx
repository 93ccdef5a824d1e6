import { Box, Flex } from '@chakra-ui/react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { type Draft, Refused } from '../api/client';
import { entitiesOf, posBehind } from '../document/parts';
import { rolesOf } from '../document/project';
import { screensOf } from '../document/screens';
import { Action } from '../ui/controls';
import { Message, Waiting, WayOn } from '../ui/Message';
import { RecordBar } from '../use/recording/RecordBar';
import { DataPages } from './data/DataPages';
import { Finder } from './Finder';
import { Header, titleOf, viewOf } from './Header';
import { KeysDialog } from './KeysDialog';
import { NothingYet } from './NothingYet';
import { Others } from './others/Others';
import { usePresence } from './others/usePresence';
import { useRecorder } from './recording/useRecorder';
import { NewScreen } from './screens/NewScreen';
import { ScreensPanel } from './screens/ScreensPanel';
import { ScreenView } from './stage/ScreenView';
import { useCommands } from './useCommands';
import type { DraftHands } from './useDraft';
import { useKeys } from './useKeys';
import { useScreenAtWork } from './useScreenAtWork';
import { useWalk } from './useWalk';
import { WalkingAs } from './WalkingAs';
import type { Whole } from './whole/context';
import { WholeViews } from './whole/WholeViews';
import { walkedRoles } from './whole/walked';

interface BuilderProps {
  project: string;
  hands: DraftHands;
  draft: Draft;
}

/** The bar, the view that is chosen, and what is looked for. */
export function Builder({ project, hands, draft }: BuilderProps) {
  const { item, view: named } = useParams();
  const view = viewOf(named);
  const navigate = useNavigate();
  const screens = screensOf(draft.entities);
  const last = useRef('');
  const byId = (id: string | undefined) => screens.find((s) => s.id === id);
  const screen = byId(view === 'screen' ? item : last.current) ?? byId(rolesOf(draft.entities)[0]?.start) ?? screens[0];
  const id = screen?.id ?? '';
  last.current = id;
  const [finding, setFinding] = useState(false);
  const walk = useWalk(draft, (to) => {
    setFinding(false);
    navigate(`/build/${project}/screen/${to}`);
  });
  const { as, open, practised } = walk;
  const place = walk.places[id];
  const work = useScreenAtWork({
    project,
    seq: draft.seq,
    screen: id,
    as,
    journal: practised.journal,
    place,
    vars: walk.vars,
    enabled: view === 'screen',
  });
  const openScreen = (to: string, at?: string) => open({ screen: to, mode: 'view' }, at);
  const go = (to: string, of = '') => {
    setFinding(false);
    navigate(`/build/${project}/${to}/${of}`);
  };
  const openData = (page: string) => go('data', page);
  const [listed, setListed] = useState(false);
  const [making, setMaking] = useState(false);
  const [keys, setKeys] = useState(false);
  const { edit } = hands;
  const back = useCallback(() => navigate(-1), [navigate]);
  useKeys({
    onFind: () => setFinding(true),
    onScreens: () => setListed(!listed),
    onKeys: () => setKeys(true),
    onUndo: () => draft.undo && hands.undo.mutate(),
    onRedo: () => draft.redo && hands.redo.mutate(),
  });
  const commands = useCommands({
    draft,
    hands,
    onScreens: () => setListed(true),
    onView: go,
    onMake: () => setMaking(true),
    onKeys: () => setKeys(true),
  });
  useEffect(() => {
    document.title = `${view === 'screen' ? (screen?.title ?? 'Build') : titleOf(view)} · ${draft.title}`;
  }, [view, screen?.title, draft.title]);
  const others = usePresence(project, view, view === 'screen' ? id : '', walk.element);
  const recorder = useRecorder(project, as, edit);
  const whole: Whole = {
    project,
    draft,
    hands,
    as,
    walked: walkedRoles(draft, as),
    edit,
    openScreen,
    openData,
    openReach: (to, who) => go('reach', who ? `${to}~${who}` : to),
    openMap: (to) => go('map', to),
    openWalk: (of) => go('walks', of),
    openRelease: (of) => go('releases', of),
  };
  const here = work.data && (work.data.view?.screen ?? work.data.screen) === id ? work.data : undefined;
  return (
    <Flex direction="column" h="100dvh" minW="1100px" bg="paper">
      <Header
        hands={hands}
        draft={draft}
        view={view}
        onView={(v) => (v === 'screen' ? openScreen(id) : go(v, v === 'data' ? 'tables' : ''))}
        listed={listed}
        onScreens={() => setListed(!listed)}
        onFind={() => setFinding(true)}
      >
        <Others draft={draft} others={others} onScreen={openScreen} />
        <WalkingAs
          project={project}
          draft={draft}
          screen={view === 'screen' ? screen : undefined}
          as={as}
          record={here?.view?.record}
          onWho={walk.setAs}
          onRecord={(key) =>
            screen?.record && open({ screen: id, mode: 'view', inputs: { ...place?.inputs, [screen.record]: key } })
          }
        />
      </Header>
      {hands.problem && <Problem words={hands.problem} onDismiss={() => hands.setProblem(undefined)} />}
      <Flex flex="1" minH={0}>
        {listed && (
          <ScreensPanel
            draft={draft}
            here={view === 'screen' ? id : ''}
            edit={edit}
            onOpen={openScreen}
            onMake={() => setMaking(true)}
            onClose={() => setListed(false)}
          />
        )}
        <Flex direction="column" flex="1" minW={0}>
          {view === 'screen' && recorder.recording && (
            <RecordBar
              recorder={recorder}
              hint="Press something to choose it, and again to try it: that becomes a step. Nothing is saved."
              who={work.data?.user ?? ''}
              pos={posBehind(entitiesOf(draft.entities, 'walk'))}
              onKept={(of) => go('walks', of)}
            />
          )}
          {view === 'data' ? (
            <DataPages
              project={project}
              as={as}
              draft={draft}
              hands={hands}
              item={item ?? 'tables'}
              onItem={openData}
              onScreen={openScreen}
            />
          ) : view !== 'screen' ? (
            <WholeViews view={view} item={item} whole={whole} />
          ) : !screen ? (
            <NothingYet project={project} draft={draft} hands={hands} />
          ) : here ? (
            <ScreenView
              key={`${id}.${walk.element ?? ''}`}
              project={project}
              hands={hands}
              draft={draft}
              work={here}
              walk={walk}
              recorder={recorder}
              onBack={back}
            />
          ) : work.error instanceof Refused ? (
            <Message problem={work.error.problem}>
              <WayOn words="Try again" glyph="forward" onPress={() => void work.refetch()} />
            </Message>
          ) : (
            <Waiting what="Putting the screen to work …" />
          )}
        </Flex>
      </Flex>
      {finding && (
        <Finder
          draft={draft}
          commands={commands}
          onOpen={openScreen}
          onData={openData}
          onWho={walk.setAs}
          onClose={() => setFinding(false)}
        />
      )}
      {making && (
        <NewScreen
          project={project}
          draft={draft}
          edit={edit}
          onClose={(made) => {
            setMaking(false);
            if (made) openScreen(made);
          }}
        />
      )}
      {keys && <KeysDialog onClose={() => setKeys(false)} />}
    </Flex>
  );
}

/** What an edit was refused for. */
function Problem({ words, onDismiss }: { words: string; onDismiss: () => void }) {
  return (
    <Flex role="alert" bg="brickSoft" color="brick" fontWeight="600" px="18px" py="6px" align="center" gap="14px">
      <Box flex="1">{words}</Box>
      <Action minH="26px" onClick={onDismiss}>
        Dismiss
      </Action>
    </Flex>
  );
}
