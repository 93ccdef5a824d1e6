import { Box, Flex } from '@chakra-ui/react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { AtWork, Draft, Finding, Practised, WayOut } from '../../api/client';
import { screenOf } from '../../document/screens';
import { useDrawers } from '../../screen/rails/useDrawers';
import type { Arrangement } from '../../trail/asking';
import { type BuildHands, BuildProvider } from '../context';
import { PulledWire } from '../margins/PulledWire';
import { numbersOf, outPlates } from '../margins/plates';
import { WaysInMargin } from '../margins/WaysIn';
import { WaysOutMargin } from '../margins/WaysOut';
import { Wires } from '../margins/Wires';
import { ClaimLine } from '../recording/ClaimLine';
import type { Recorder } from '../recording/useRecorder';
import { SentencePanel } from '../sentence/SentencePanel';
import type { DraftHands } from '../useDraft';
import type { useWalk } from '../useWalk';
import { toMend } from '../whole/findings';
import { Arranging } from './Arranging';
import { Stage } from './Stage';
import { StageHead } from './StageHead';
import { useStageWidth } from './StageWidth';
import { useChosen } from './useChosen';
import { usePractice } from './usePractice';
import { usePulledWire } from './usePulledWire';

interface ScreenViewProps {
  project: string;
  hands: DraftHands;
  draft: Draft;
  work: AtWork;
  walk: ReturnType<typeof useWalk>;
  recorder: Recorder;
  onBack: () => void;
}

/** The Screen view: the screen at work, between the ways into it and the ways out of it. */
export function ScreenView({ project, hands, draft, work, walk, recorder, onBack }: ScreenViewProps) {
  const { as, open: onPlace, practised, setVars } = walk;
  const { entities } = draft;
  const body = useRef<HTMLDivElement>(null);
  const [pointed, point] = useState<string>();
  const [width, setWidth] = useStageWidth();
  const [values, setValues] = useState<Record<string, string>>({});
  const [covers, setCovers] = useState(0);
  const cover = useCallback((by: number) => setCovers((n) => n + by), []);
  const chosen = useChosen(work.ways, walk.element);
  const screen = work.view?.screen ?? work.screen ?? work.ways[0]?.element ?? ''; // also while nobody may enter it
  const findings = useMemo(
    () => toMend(draft).filter((f) => f.screen === screen || isOnRail(f, work.ways)),
    [draft, screen, work.ways],
  );
  const plates = useMemo(() => outPlates(work.ways, findings), [work.ways, findings]);
  const numbers = useMemo(() => numbersOf(plates), [plates]);
  const place = work.view?.place;
  const open = useCallback((to: string, at?: string) => onPlace({ screen: to, mode: 'view' }, at), [onPlace]);
  const { edit } = hands;
  const drawers = useDrawers();
  const onMove = useCallback(
    (p: Practised) => {
      if (p.vars) setVars(p.vars);
      for (const act of p.does ?? []) if (act.what === 'drawer' && act.rail) drawers.put(act.rail, act.how ?? 'open');
      // Where nothing is brought, what was brought before is gone too.
      if (p.place) onPlace({ ...p.place, inputs: p.place.inputs ?? {} });
      else if (p.move === 'back' || p.move === 'close') onBack();
    },
    [onPlace, onBack, setVars, drawers.put],
  );
  const version = work.view?.record?.version;
  const onPractised = walk.setPractised;
  const onDone = recorder.onPressed;
  const practice = usePractice({ project, as, place, values, version, onMove, onDone, practised, onPractised });
  const { recording, onSeen } = recorder;
  useEffect(() => {
    if (recording && place) onSeen(place);
  }, [recording, place, onSeen]);
  const { journal } = practised;
  // The same as long as nothing of it changes: what is pointed at, and whether an edit is under way, concerns few.
  const build: BuildHands = useMemo(
    () => ({ project, draft, entities, screen, work, as, journal, point, edit, open, cover, ...chosen }),
    [project, draft, entities, screen, work, as, journal, edit, open, cover, chosen],
  );
  const pulled = usePulledWire(build);
  const onArrange = ({ filters, sort, find, tabs, clear }: Arrangement) => {
    if (!place) return;
    const to = { ...place, filters, sort, find, tabs: tabs ?? place.tabs, inputs: without(place.inputs, clear) };
    recorder.onLooked(to);
    onPlace(to);
  };
  const ofScreen = useMemo(
    () => findings.filter((f) => !f.element || !work.ways.some((w) => w.element === f.element)),
    [findings, work.ways],
  );
  return (
    <BuildProvider value={build}>
      <Flex
        ref={body}
        position="relative"
        flex="1"
        minH={0}
        onKeyDown={(e) => e.key === 'Escape' && chosen.choose(undefined)}
      >
        <WaysInMargin ways={work.waysIn} />
        <Box
          as="main"
          inert={covers > 0}
          display="flex"
          flexDirection="column"
          flex="1"
          minW={0}
          p="8px 22px 10px 10px"
        >
          <StageHead
            screen={screenOf(entities, screen)}
            work={work}
            width={width}
            onWidth={setWidth}
            onRecord={recording ? undefined : recorder.begin}
          />
          <ClaimLine recorder={recorder} view={work.view} chosen={chosen.chosen} />
          <Stage
            as={as}
            work={work}
            pointed={pointed}
            numbers={numbers}
            practice={practice}
            values={values}
            width={width}
            drawers={drawers}
            onType={(f, v) => setValues((old) => ({ ...old, [f]: v }))}
            onArrange={onArrange}
          />
        </Box>
        <WaysOutMargin plates={plates} screenFindings={ofScreen} />
        <Arranging />
        {pulled && <PulledWire pulled={pulled} />}
        <Wires body={body} plates={plates} chosen={chosen.chosen} pointed={pointed} />
      </Flex>
      <SentencePanel />
    </BuildProvider>
  );
}

/** Whether a finding is of a rail that stands here too: it is told once, of the first of its screens. */
function isOnRail(f: Finding, ways: WayOut[]) {
  return f.entity !== undefined && ways.some((w) => w.rail && w.element === f.element);
}

function without(inputs: Record<string, string> | undefined, names: string[] | undefined) {
  return Object.fromEntries(Object.entries(inputs ?? {}).filter(([id]) => !names?.includes(id)));
}
