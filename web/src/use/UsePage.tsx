import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, ask, type Shown } from '../api/client';
import { Message, Waiting, WayOn } from '../ui/Message';
import { OverlayDialog } from './OverlayDialog';
import { SignIn } from './StartPage';
import { Strip } from './Strip';
import { UsedScreen } from './UsedScreen';
import { useLive } from './useLive';
import { type TrailHands, useTrail } from './useTrail';

/** The users' side: a screen of the released project, its strip, and what lies over it. */
export function UsePage() {
  const { project = '' } = useParams();
  const trail = useTrail(project);
  useLive(project, trail);
  const { shown, refused, away } = trail;
  if (refused) return <Refusal trail={trail} project={project} />;
  if (!shown) return away ? <Message problem={away.problem} /> : <Waiting what="Opening …" />;
  return <Page shown={shown} trail={trail} project={project} />;
}

function Page({ shown, trail, project }: { shown: Shown; trail: TrailHands; project: string }) {
  const me = useQuery({ queryKey: ['me'], queryFn: () => ask(api.GET('/api/me')) });
  const heading = useRef<HTMLHeadingElement>(null);
  const { trail: id, n } = shown;
  const over = shown.overlay !== undefined; // a dialog keeps the focus for itself
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new place gets the focus at its heading
  useEffect(() => {
    if (!over) heading.current?.focus({ preventScroll: true });
  }, [id, n]);
  useEffect(() => {
    document.title = shown.view.heading;
  }, [shown.view.heading]);
  const operator = shown.view.type === 'operator';
  return (
    <Flex direction="column" minH="100dvh" h={operator ? '100dvh' : undefined}>
      {!shown.view.bare && (
        <Strip shown={shown} project={project} builder={me.data?.builder ?? false} onGo={trail.go} />
      )}
      {trail.away && <Banner words={`${trail.away.problem.what} ${trail.away.problem.then ?? ''}`} />}
      {shown.passed && <Banner words={`Passed over, since it is gone or shut: ${shown.passed}.`} calm />}
      <Box as="main" flex="1" minH={0}>
        <UsedScreen
          key={`${id}.${n}.${shown.view.mode}`}
          project={project}
          trail={trail}
          view={shown.view}
          headingRef={heading}
        />
      </Box>
      {shown.overlay && (
        <OverlayDialog title={shown.overlay.heading} onClose={() => trail.go('close')}>
          <UsedScreen project={project} trail={trail} view={shown.overlay} overlay />
        </OverlayDialog>
      )}
    </Flex>
  );
}

/** Stands above the screen while something is not as it should be; the screen stays as it was. */
function Banner({ words, calm }: { words: string; calm?: boolean }) {
  return (
    <Box
      role="status"
      px="20px"
      py="8px"
      bg={calm ? 'amberSoft' : 'brickSoft'}
      color={calm ? 'amberText' : 'brick'}
      fontWeight="600"
    >
      {words}
    </Box>
  );
}

function Refusal({ trail, project }: { trail: TrailHands; project: string }) {
  const navigate = useNavigate();
  const { refused, setRefused, reload } = trail;
  if (!refused) return null;
  if (refused.status === 401) {
    return (
      <SignIn
        onDone={() => {
          setRefused(undefined);
          void (trail.shown ? reload() : navigate(0));
        }}
      />
    );
  }
  const home = () => {
    setRefused(undefined);
    if (trail.shown) void trail.go('home');
    else navigate(`/use/${project}`, { replace: true });
  };
  return (
    <Message problem={refused.problem}>
      {trail.shown && <WayOn words="Back to where you were" glyph="back" onPress={() => void reload()} />}
      {refused.problem.code !== 'no-project' && <WayOn words="Home" glyph="home" onPress={home} />}
      {refused.problem.code === 'no-project' && (
        <WayOn words="Choose an application" glyph="menu" onPress={() => navigate('/')} />
      )}
    </Message>
  );
}
