import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, Navigate, useNavigate } from 'react-router';
import { type ApplicationState, api, ask, type Me, Refused } from '../api/client';
import { Message, Waiting } from '../ui/Message';
import { Plate } from '../ui/Plate';
import { SignIn } from '../use/SignIn';
import { SignOut } from '../use/SignOut';
import { ImportDialog } from './ImportDialog';
import { Bar } from './Page';

/** Sign in, then choose an application to use or to build. Who builds nothing and has one alone goes straight in. */
export function StartPage() {
  const me = useQuery({ queryKey: ['me'], queryFn: () => ask(api.GET('/api/me')) });
  if (me.isPending) return <Waiting what="Loading …" />;
  if (me.data) return me.data.makes || me.data.administers ? <Applications me={me.data} /> : <Choose me={me.data} />;
  if (me.error instanceof Refused && me.error.status !== 401) return <Message problem={me.error.problem} />;
  return <SignIn />;
}

type Project = Me['projects'][number];

/** For who runs the program or makes applications: all of them with their state, and what comes next. */
function Applications({ me }: { me: Me }) {
  const states = useStates(me);
  const [importing, setImporting] = useState(false);
  return (
    <>
      <Bar me={me} />
      {importing && <ImportDialog onClose={() => setImporting(false)} />}
      <Box as="main" maxW="1080px" mx="auto" px="24px" py="26px">
        <Flex align="center" gap="14px" mb="18px">
          <Heading as="h1" fontSize="title" fontWeight="800" flex="1">
            Applications
          </Heading>
        </Flex>
        {me.projects.length === 0 && (
          <Text color="muted" mb="16px" maxW="560px">
            {me.makes
              ? 'No application yet. A new one is proposed over the tables of a database: choose them, correct what is to be otherwise, and it can be used.'
              : 'No application is open to you yet.'}
          </Text>
        )}
        {me.projects.map((p) => (
          <OneApplication key={p.id} project={p} state={states.find((s) => s.id === p.id)} />
        ))}
        <Flex gap="14px" wrap="wrap" mt="18px">
          {me.makes && <Onward to="/new" glyph="plus" title="New application" note="over a database, or empty" />}
          {me.makes && (
            <Box as="button" w="250px" cursor="pointer" textAlign="left" onClick={() => setImporting(true)}>
              <Plate glyph="forward" title="Import" note="an application from a file" />
            </Box>
          )}
          {me.administers && (
            <Onward to="/connections" glyph="project" title="Connections" note="databases and plants" />
          )}
          {me.administers && <Onward to="/people" glyph="user" title="People" note="who may come in" />}
          {me.administers && (
            <Onward
              to="/displays"
              glyph="operator"
              title="Displays"
              note="on walls and counters, with nobody signed in"
            />
          )}
        </Flex>
      </Box>
    </>
  );
}

function Onward({ to, glyph, title, note }: { to: string; glyph: string; title: string; note: string }) {
  return (
    <Box asChild w="250px">
      <Link to={to}>
        <Plate glyph={glyph} title={title} note={note} />
      </Link>
    </Box>
  );
}

function useStates(me: Me): ApplicationState[] {
  const states = useQuery({
    queryKey: ['me', 'applications'],
    queryFn: () => ask(api.GET('/api/applications')),
    enabled: me.projects.some((p) => p.builds),
  });
  return states.data ?? [];
}

function OneApplication({ project: p, state }: { project: Project; state: ApplicationState | undefined }) {
  const navigate = useNavigate();
  return (
    <Box as="section" aria-label={p.title} borderTopWidth="1px" borderColor="rule" py="12px">
      <Flex gap="16px" align="center" wrap="wrap">
        <Box flex="1" minW="220px">
          <Box as="h2" fontSize="head" fontWeight="800">
            {p.title}
          </Box>
          <Box fontSize="note" color="muted">
            {[p.released ? `release ${p.released}` : 'not released yet', ...stateWords(state, p.released > 0)].join(
              ', ',
            )}
          </Box>
        </Box>
        {p.builds && (
          <Box asChild fontSize="note" fontWeight="700" textDecoration="underline">
            <a href={`/api/build/${p.slug}/export`} download aria-label={`Export ${p.title}`}>
              Export
            </a>
          </Box>
        )}
        {p.builds && (
          <Box as="button" w="200px" cursor="pointer" onClick={() => navigate(`/build/${p.slug}`)}>
            <Plate glyph="form" title="Build it" tone="chosen" />
          </Box>
        )}
        {p.uses && p.released > 0 && (
          <Box as="button" w="200px" cursor="pointer" onClick={() => navigate(`/use/${p.slug}`)}>
            <Plate glyph="menu" title="Use it" />
          </Box>
        )}
      </Flex>
    </Box>
  );
}

function stateWords(s: ApplicationState | undefined, released: boolean): string[] {
  if (!s) return [];
  const one = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;
  return [
    one(s.screens, 'screen'),
    ...(released && s.changes > 0 ? [`${one(s.changes, 'change')} since`] : []),
    ...(s.broken > 0 ? [`${s.broken} broken`] : []),
    ...(s.doubtful > 0 ? [`${s.doubtful} doubtful`] : []),
  ];
}

/** For who uses and builds single applications. */
function Choose({ me }: { me: Me }) {
  const navigate = useNavigate();
  const only = me.projects.length === 1 ? me.projects[0] : undefined;
  if (only?.uses && only.released > 0 && !only.builds) return <Navigate to={`/use/${only.slug}`} replace />;
  return (
    <Box as="main" maxW="640px" mx="auto" px="24px" pt="10vh">
      <Flex align="center" gap="12px" mb="26px">
        <img src="/gate.svg" alt="" width="38" height="38" />
        <Heading as="h1" fontSize="title" fontWeight="800" flex="1">
          Where to, {me.name.split(' ')[0]}?
        </Heading>
        <Box asChild fontSize="note" fontWeight="700" textDecoration="underline">
          <Link to="/me">Your own page</Link>
        </Box>
        <SignOut />
      </Flex>
      {me.projects.length === 0 && (
        <Text color="muted">Nothing is open to you yet. Ask the person who runs this system for a role.</Text>
      )}
      {me.projects.map((p) => (
        <Box key={p.id} mb="22px">
          <Heading as="h2" fontSize="head" fontWeight="800" mb="8px">
            {p.title}
          </Heading>
          <Flex gap="14px" wrap="wrap">
            {p.builds && (
              <Box as="button" w="280px" cursor="pointer" onClick={() => navigate(`/build/${p.slug}`)}>
                <Plate glyph="form" title="Build it" note="screens, ways, conditions" tone="chosen" />
              </Box>
            )}
            {p.uses && (
              <Box as="button" w="280px" cursor="pointer" onClick={() => navigate(`/use/${p.slug}`)}>
                <Plate glyph="menu" title="Use it" note={p.released ? `release ${p.released}` : 'not released yet'} />
              </Box>
            )}
          </Flex>
        </Box>
      ))}
    </Box>
  );
}
