import { Box, Flex } from '@chakra-ui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, ask, type Draft, type Place, Refused } from '../api/client';
import { Action } from '../ui/controls';
import { Message, Waiting, WayOn } from '../ui/Message';
import { SignIn } from '../use/StartPage';
import { entitiesOf, rolesOf, screensOf, text } from './document';
import { Finder, FindingsDialog } from './Finder';
import { Header } from './Header';
import { DataPages } from './rights/DataPages';
import { ScreenView } from './ScreenView';
import { type DraftHands, useDraft } from './useDraft';
import { useKeys } from './useKeys';
import { notPractised } from './usePractice';
import { WalkingAs } from './WalkingAs';

/** The builder's side of a project. */
export function BuildPage() {
  const { project = '' } = useParams();
  const navigate = useNavigate();
  const hands = useDraft(project);
  const { draft } = hands;
  if (draft.isPending) return <Waiting what="Opening the project …" />;
  if (!draft.data) {
    const e = draft.error;
    if (!(e instanceof Refused)) throw e;
    if (e.status === 401) return <SignIn onDone={() => void hands.fresh()} />;
    return (
      <Message problem={e.problem}>
        {e.away ? (
          <WayOn words="Try again" glyph="forward" onPress={() => void hands.fresh()} />
        ) : (
          <WayOn words="Choose an application" glyph="menu" onPress={() => navigate('/')} />
        )}
      </Message>
    );
  }
  return <Builder project={project} hands={hands} draft={draft.data} />;
}

function Builder({ project, hands, draft }: { project: string; hands: DraftHands; draft: Draft }) {
  const { item, view: named } = useParams();
  const view = named === 'data' ? 'data' : 'screen';
  const navigate = useNavigate();
  const entities = useRef(entitiesOf(draft));
  entities.current = entitiesOf(draft);
  const screens = screensOf(entities.current);
  const last = useRef('');
  const screen = screens.find((s) => s.id === (view === 'screen' ? item : last.current)) ?? screens[0];
  last.current = screen?.id ?? '';
  const [as, setAs] = useState(() => firstToWalkAs(draft));
  const [places, setPlaces] = useState<Record<string, Place>>({});
  const [vars, setVars] = useState<Record<string, string>>({});
  const [element, setElement] = useState<string>();
  const [practised, setPractised] = useState(notPractised);
  const { journal } = practised;
  const [finding, setFinding] = useState<'screens' | 'findings'>();
  const id = screen?.id ?? '';
  const place = places[id];
  const work = useQuery({
    queryKey: ['work', project, draft.seq, id, as, place, journal, vars],
    queryFn: () =>
      ask(
        api.POST('/api/build/{project}/work', {
          params: { path: { project } },
          body: {
            screen: id,
            as,
            journal,
            inputs: place?.inputs,
            mode: place?.mode,
            set: place?.set,
            filters: place?.filters,
            tabs: place?.tabs,
            find: place?.find,
            sort: place?.sort,
            spot: place?.spot,
            vars,
          },
        }),
      ),
    enabled: id !== '' && as !== '' && view === 'screen',
    placeholderData: keepPreviousData,
    refetchInterval: (q) => (q.state.data?.view?.type === 'operator' ? 1500 : false),
  });
  const open = useCallback(
    (p: Place, at?: string) => {
      setPlaces((old) => ({ ...old, [p.screen]: p.inputs ? p : (old[p.screen] ?? p) }));
      setVars((old) => anew(entities.current, old, p.screen));
      setElement(at);
      setFinding(undefined);
      navigate(`/build/${project}/screen/${p.screen}`);
    },
    [navigate, project],
  );
  const openData = (page: string) => {
    setFinding(undefined);
    navigate(`/build/${project}/data/${page}`);
  };
  const back = useCallback(() => navigate(-1), [navigate]);
  useKeys({
    onFind: () => setFinding('screens'),
    onUndo: () => draft.undo && hands.undo.mutate(),
    onRedo: () => draft.redo && hands.redo.mutate(),
  });
  useEffect(() => {
    document.title = `${view === 'data' ? 'Data' : (screen?.title ?? 'Build')} · ${draft.title}`;
  }, [view, screen?.title, draft.title]);
  const here = work.data && (work.data.view?.screen ?? work.data.screen) === id ? work.data : undefined;
  return (
    <Flex direction="column" h="100dvh" minW="1100px" bg="paper">
      <Header
        hands={hands}
        draft={draft}
        view={view}
        onView={(v) => (v === 'data' ? openData('tables') : open({ screen: id, mode: 'view' }))}
        onFind={() => setFinding('screens')}
        onFindings={() => setFinding('findings')}
      >
        <WalkingAs
          project={project}
          draft={draft}
          screen={view === 'screen' ? screen : undefined}
          as={as}
          record={here?.view?.record}
          onWho={setAs}
          onRecord={(key) =>
            screen?.record && open({ screen: id, mode: 'view', inputs: { ...place?.inputs, [screen.record]: key } })
          }
        />
      </Header>
      {hands.problem && (
        <Flex role="alert" bg="brickSoft" color="brick" fontWeight="600" px="18px" py="6px" align="center" gap="14px">
          <Box flex="1">{hands.problem}</Box>
          <Action minH="26px" onClick={() => hands.setProblem(undefined)}>
            Dismiss
          </Action>
        </Flex>
      )}
      {view === 'data' ? (
        <DataPages
          project={project}
          as={as}
          draft={draft}
          hands={hands}
          item={item ?? 'tables'}
          onItem={openData}
          onScreen={(s, at) => open({ screen: s, mode: 'view' }, at)}
        />
      ) : here ? (
        <ScreenView
          key={`${id}.${element ?? ''}`}
          project={project}
          hands={hands}
          draft={draft}
          work={here}
          as={as}
          element={element}
          onPlace={open}
          onBack={back}
          onVars={setVars}
          practised={practised}
          onPractised={setPractised}
        />
      ) : work.error instanceof Refused ? (
        <Message problem={work.error.problem}>
          <WayOn words="Try again" glyph="forward" onPress={() => void work.refetch()} />
        </Message>
      ) : (
        <Waiting what="Putting the screen to work …" />
      )}
      {finding === 'screens' && (
        <Finder
          draft={draft}
          onOpen={(s) => open({ screen: s, mode: 'view' })}
          onData={openData}
          onClose={() => setFinding(undefined)}
        />
      )}
      {finding === 'findings' && (
        <FindingsDialog
          draft={draft}
          onClose={() => setFinding(undefined)}
          onOpen={(f) =>
            f.screen ? open({ screen: f.screen, mode: 'view' }, f.element) : openData(homeOf(draft, f.entity))
          }
        />
      )}
    </Flex>
  );
}

/** A screen that is opened begins with its own variables anew; those of the project stay. */
function anew(entities: ReturnType<typeof entitiesOf>, vars: Record<string, string>, screen: string) {
  const own = (id: string) => text(entities[id], 'screen');
  return Object.fromEntries(Object.entries(vars).filter(([id]) => own(id) === '' || own(id) === screen));
}

/** Which page of the Data view shows an entity. */
function homeOf(draft: Draft, entity: string | undefined): string {
  const body = entitiesOf(draft)[entity ?? ''];
  const kind = text(body, 'kind');
  if (kind === 'grant') return text(body, 'table');
  if (kind === 'variable') return 'variables';
  return kind === 'condition' ? 'conditions' : (entity ?? 'tables');
}

/** Whom one walks as at first: somebody with the first of the project's roles. */
function firstToWalkAs(draft: Draft): string {
  const first = rolesOf(entitiesOf(draft))[0];
  if (!draft.walks) return first ? `role:${first.id}` : '';
  for (const role of rolesOf(entitiesOf(draft))) {
    const person = draft.people.find((p) => p.roles.includes(role.name));
    if (person) return person.id;
  }
  return draft.people[0]?.id ?? '';
}
