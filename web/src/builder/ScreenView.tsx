import { Box, Flex } from '@chakra-ui/react';
import { useCallback, useMemo, useRef, useState } from 'react';
import type { AtWork, Draft, Place, Practised, WayOut } from '../api/client';
import { useDrawers } from '../screen/rails/useDrawers';
import { BuildProvider } from './context';
import { entitiesOf, screensOf } from './document';
import { WaysInMargin, WaysOutMargin } from './margins/Margins';
import { PulledWire } from './margins/PulledWire';
import { numbersOf, outPlates } from './margins/plates';
import { usePull } from './margins/usePull';
import { Wires } from './margins/Wires';
import { Stage } from './Stage';
import { StageWidthPicker, useStageWidth } from './StageWidth';
import { SentencePanel } from './sentence/SentencePanel';
import { moveTo, putMove, refOf } from './sentence/wiring';
import type { DraftHands } from './useDraft';
import { type Practising, usePractice } from './usePractice';

interface ScreenViewProps {
  project: string;
  hands: DraftHands;
  draft: Draft;
  work: AtWork;
  as: string;
  element: string | undefined;
  onPlace: (place: Place, element?: string) => void;
  onBack: () => void;
  onVars: (vars: Record<string, string>) => void;
  practised: Practising;
  onPractised: (change: (old: Practising) => Practising) => void;
}

/** The Screen view: the screen at work, between the ways into it and the ways out of it. */
export function ScreenView(props: ScreenViewProps) {
  const { project, hands, draft, work, as, element, onPlace, onBack, onVars, practised, onPractised } = props;
  const entities = useMemo(() => entitiesOf(draft), [draft]);
  const body = useRef<HTMLDivElement>(null);
  const [chosen, setChosen] = useState(element);
  const [trigger, setTrigger] = useState<string>();
  const [pointed, point] = useState<string>();
  const [width, setWidth] = useStageWidth();
  const [openPicker, setPicker] = useState<string>();
  const [values, setValues] = useState<Record<string, string>>({});
  const screen = work.view?.screen ?? work.ways[0]?.element ?? '';
  const screenId = useScreenId(work, screen);
  const findings = useMemo(() => draft.findings.filter((f) => f.screen === screenId), [draft, screenId]);
  const plates = useMemo(() => outPlates(work.ways, findings), [work.ways, findings]);
  const numbers = useMemo(() => numbersOf(plates), [plates]);
  const place = work.view?.place;
  const choose = useCallback((id: string | undefined, by?: string) => {
    setChosen(id);
    setTrigger(by);
    setPicker(undefined);
  }, []);
  const open = useCallback((to: string, at?: string) => onPlace({ screen: to, mode: 'view' }, at), [onPlace]);
  const drawers = useDrawers();
  const onMove = useCallback(
    (p: Practised) => {
      if (p.vars) onVars(p.vars);
      for (const act of p.does ?? []) if (act.what === 'drawer' && act.rail) drawers.put(act.rail, act.how ?? 'open');
      if (p.place) onPlace(p.place);
      else if (p.move === 'back' || p.move === 'close') onBack();
    },
    [onPlace, onBack, onVars, drawers.put],
  );
  const version = work.view?.record?.version;
  const practice = usePractice({ project, as, place, values, version, onMove, practised, onPractised });
  const edit = useCallback(
    (patch: Parameters<typeof hands.edit.mutateAsync>[0]) =>
      patch.length > 0 ? hands.edit.mutateAsync(patch).catch(() => undefined) : Promise.resolve(),
    [hands.edit],
  );
  const ways = useMemo(() => work.ways.filter((w) => w.element === chosen), [work.ways, chosen]);
  const onTarget = useCallback(
    async (way: WayOut, target: string, of?: string) => {
      const to = screensOf(entities).find((s) => s.id === target);
      choose(way.element, way.trigger);
      if (!to) return;
      const ref = refOf({ project, entities, screen: screenId }, way);
      await edit(putMove(ref, await moveTo(ref, to), of));
    },
    [entities, project, screenId, edit, choose],
  );
  const onGround = useCallback(
    (way: WayOut, of?: string) => {
      choose(way.element, way.trigger);
      setPicker(of ? `+make/${of}` : '+make');
    },
    [choose],
  );
  const pulled = usePull(work.ways, onTarget, onGround);
  const doc = screensOf(entities).find((s) => s.id === screenId);
  return (
    <BuildProvider
      value={{
        project,
        draft,
        entities,
        screen: screenId,
        work,
        as,
        journal: practised.journal,
        chosen,
        way: ways.find((w) => w.trigger === trigger) ?? ways[0],
        ways,
        choose,
        pointed,
        point,
        edit,
        open,
        openPicker,
        setPicker,
      }}
    >
      <Flex ref={body} position="relative" flex="1" minH={0} onKeyDown={(e) => e.key === 'Escape' && choose(undefined)}>
        <WaysInMargin ways={work.waysIn} />
        <Flex as="main" inert={openPicker !== undefined} direction="column" flex="1" minW={0} p="8px 22px 10px 10px">
          <Flex align="baseline" gap="10px" minH="30px" mb="4px">
            <Box as="h1" fontSize="head" fontWeight="800" whiteSpace="nowrap">
              {doc?.title}
            </Box>
            <Box fontSize="note" color="muted" truncate>
              {about(doc, work)}
            </Box>
            <Box flex="1" />
            <StageWidthPicker width={width} onWidth={setWidth} />
          </Flex>
          <Stage
            as={as}
            work={work}
            numbers={numbers}
            practice={practice}
            values={values}
            width={width}
            drawers={drawers}
            onType={(f, v) => setValues((old) => ({ ...old, [f]: v }))}
            onArrange={(change) =>
              place &&
              onPlace({
                ...place,
                filters: change.filters,
                sort: change.sort,
                find: change.find,
                tabs: change.tabs ?? place.tabs,
                inputs: without(place.inputs, change.clear),
              })
            }
          />
        </Flex>
        <WaysOutMargin
          plates={plates}
          screenFindings={findings.filter((f) => !f.element || !work.ways.some((w) => w.element === f.element))}
        />
        {pulled && <PulledWire pulled={pulled} />}
        <Wires body={body} plates={plates} chosen={chosen} pointed={pointed} />
      </Flex>
      <SentencePanel />
    </BuildProvider>
  );
}

/** The screen's id also when the walked user is refused and there is no view. */
function useScreenId(work: AtWork, fallback: string): string {
  return work.view?.screen ?? work.screen ?? fallback;
}

function about(doc: { type: string; area: string } | undefined, work: AtWork): string {
  if (!doc) return '';
  const presses =
    work.presses < 0
      ? `no way for ${work.user}`
      : work.presses === 0
        ? `${work.user}’s start`
        : `${work.presses} ${work.presses === 1 ? 'press' : 'presses'} from ${work.user}’s start`;
  return [doc.type, doc.area, `entered by ${work.entered}`, presses].filter(Boolean).join(' · ');
}

function without(inputs: Record<string, string> | undefined, names: string[] | undefined) {
  return Object.fromEntries(Object.entries(inputs ?? {}).filter(([id]) => !names?.includes(id)));
}
