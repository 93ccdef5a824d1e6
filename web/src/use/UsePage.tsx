import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, ask, type Given, type Refused, type Shown, type ThenPress, type View } from '../api/client';
import { sameFrame } from '../screen/context';
import type { Along, Trail } from '../trail/Trail';
import { later } from '../ui/later';
import { Message, Waiting } from '../ui/Message';
import { useFixedAppearance } from '../ui/theme/appearance';
import { useDress } from '../ui/theme/style';
import { useSteady } from '../ui/useSteady';
import { sameBut, useStill } from '../ui/useStill';
import { Banners } from './Banners';
import { useCallUps } from './callups/useCallUps';
import { useUnsaved } from './draft/useUnsaved';
import { Refusal } from './Refusal';
import { useUsedRecorder } from './recording/useUsedRecorder';
import { useDisplay } from './rest/useDisplay';
import { useIdle } from './rest/useIdle';
import { useRound } from './rest/useRound';
import { Strip } from './trail/Strip';
import { useArrival } from './trail/useArrival';
import { useTrail } from './trail/useTrail';
import { useTrailKeys } from './trail/useTrailKeys';
import { UsedScreen } from './UsedScreen';
import { useLive } from './useLive';
import { useNoteOpened } from './useNoteOpened';

const LeaveDialog = later(async () => (await import('./draft/LeaveDialog')).LeaveDialog);
const CalledUp = later(async () => (await import('./callups/CalledUp')).CalledUp);
const RoundBar = later(async () => (await import('./rest/RoundBar')).RoundBar);
const RecordBar = later(async () => (await import('./recording/RecordBar')).RecordBar);
const Overlay = later(async () => (await import('./Overlay')).Overlay);

/** The users' side: a screen of the released project, its strip, and what lies over it. */
export function UsePage() {
  const { project = '' } = useParams();
  return <Project key={project} project={project} />;
}

function Project({ project }: { project: string }) {
  const { trail, shown, answers, refused, away } = useTrail(project);
  const called = useCallUps(project, trail);
  const lost = useLive(project, trail, shown, answers, called);
  if (refused) return <Refusal trail={trail} refused={refused} project={project} />;
  if (!shown) return away ? <Message problem={away.problem} /> : <Waiting what="Opening …" />;
  return <Page shown={shown} away={away} lost={lost} trail={trail} project={project} called={called} />;
}

/** Whether two answers are the same but for what stands on the screen, which may come live several times a second. */
const sameShown = (was: Shown, now: Shown) => sameBut(was, now, ['view']) && sameFrame(was.view, now.view);

interface PageProps {
  shown: Shown;
  away: Refused | undefined;
  lost: boolean;
  trail: Trail;
  project: string;
  called: ReturnType<typeof useCallUps>;
}

function Page({ shown, away, lost, trail, project, called }: PageProps) {
  const me = useQuery({ queryKey: ['me'], queryFn: () => ask(api.GET('/api/me')) });
  const still = useStill(shown, sameShown);
  const unsaved = useUnsaved(trail);
  const [given, setGiven] = useState<Given>();
  const [then, setThen] = useState<ThenPress>();
  const arrival = useArrival(shown);
  const from = useMemo(() => ({ trail: shown.trail, n: shown.n }), [shown.trail, shown.n]);
  useNoteOpened(from);
  const left = useIdle(project, shown, unsaved);
  useRound(trail, shown, unsaved);
  const zoom = useDisplay(shown.display !== undefined);
  const recorder = useUsedRecorder(project, shown);
  const navigate = useNavigate();
  const along = (to: Along, n?: number) => void trail.go(to, n, recorder.onWent);
  const go = useSteady((to: Along, n?: number) => unsaved.leave(0, () => along(to, n)));
  useTrailKeys(go);
  const leaving = unsaved.asking;
  useEffect(() => trail.ask('leaving', leaving), [trail, leaving]);
  useEffect(() => {
    document.title = shown.view.heading;
  }, [shown.view.heading]);
  useEffect(() => Overlay.ahead(), []);
  useFixedAppearance(shown.view.appearance);
  useDress(shown.view);
  const operator = shown.view.type === 'operator';
  const high = operator ? '100dvh' : `calc(100dvh / ${zoom})`;
  const over = (shown.overlays ?? []).map((o, i) => ({ ...o, depth: i + 1 }));
  const common = {
    project,
    trail,
    shown,
    unsaved,
    given,
    onGiven: setGiven,
    then,
    onThen: setThen,
    onPressed: arrival.onPressed,
    recorder,
  };
  return (
    <Flex direction="column" minH={high} h={operator ? high : undefined} zoom={operator ? 1 : zoom}>
      {!shown.view.bare && (
        <Strip
          shown={still}
          project={project}
          builder={me.data?.projects.some((p) => p.slug === project && p.builds) ?? false}
          onRecord={recorder.recording ? undefined : recorder.begin}
          onGo={go}
        />
      )}
      {recorder.recording && (
        <RecordBar
          recorder={recorder}
          who={shown.user}
          pos={0}
          hint="What you do becomes a step of a walk. You are in use: what you save is saved."
          onKept={(walk) => navigate(`/build/${project}/walks/${walk}`)}
        />
      )}
      {called.came && (
        <CalledUp came={called.came} project={project} language={shown.view.language ?? 'en'} onSeen={called.seen} />
      )}
      <Banners shown={still} away={away} lost={lost} left={left} />
      <Box as="main" flex="1" minH={0}>
        <UsedScreen
          key={`${shown.trail}.${workOf(shown.view)}`}
          {...common}
          view={shown.view}
          depth={0}
          draft={shown.draft}
          others={shown.others ?? []}
          headingRef={arrival.heading}
        />
      </Box>
      {shown.round && <RoundBar round={shown.round} onGo={go} />}
      {over.map((o) => (
        <Overlay
          key={`${o.depth}.${o.view.screen}`}
          as={o.as}
          title={o.view.heading}
          onClose={() => unsaved.leave(o.depth, () => along('close'))}
        >
          <UsedScreen
            key={workOf(o.view)}
            {...common}
            view={o.view}
            depth={o.depth}
            draft={o.draft}
            others={o.others ?? []}
          />
        </Overlay>
      ))}
      {unsaved.asking && <LeaveDialog onAnswer={(how) => void unsaved.answer(how)} />}
    </Flex>
  );
}

/** What one works on: as long as it is the same, what was typed stays. */
function workOf(v: View) {
  return `${v.screen}.${v.mode}.${v.record?.key ?? ''}`;
}
