import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, type Me, Refused } from '../api/client';
import { Action, Line } from '../ui/controls';
import { Message, Waiting } from '../ui/Message';
import { Plate } from '../ui/Plate';

/** Sign in, then choose an application to use or to build. */
export function StartPage() {
  const me = useQuery({ queryKey: ['me'], queryFn: () => ask(api.GET('/api/me')) });
  if (me.isPending) return <Waiting what="Looking who is there …" />;
  if (me.data) return <Choose me={me.data} />;
  if (me.error instanceof Refused && me.error.status !== 401) return <Message problem={me.error.problem} />;
  return <SignIn />;
}

/** Name and password. After it the page goes on where it was. */
export function SignIn({ onDone }: { onDone?: () => void }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const signIn = useMutation({
    mutationFn: () => ask(api.POST('/api/sign-in', { body: { login, password } })),
    onSuccess: (me) => {
      queries.removeQueries({ predicate: (q) => q.queryKey[0] !== 'me' });
      queries.setQueryData(['me'], me);
      if (onDone) return onDone();
      const only = me.projects.length === 1 ? me.projects[0] : undefined;
      if (only && !me.builder) navigate(`/use/${only.slug}`);
    },
  });
  const problem = signIn.error instanceof Refused ? signIn.error.problem : undefined;
  return (
    <Flex minH="100dvh" align="center" justify="center" p="20px">
      <Box
        as="form"
        w="340px"
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          signIn.mutate();
        }}
      >
        <Flex align="center" gap="12px" mb="22px">
          <img src="/gate.svg" alt="" width="38" height="38" />
          <Heading as="h1" fontSize="title" fontWeight="800">
            Amber Gate
          </Heading>
        </Flex>
        <Field label="Name">
          <Line
            name="login"
            autoComplete="username"
            autoFocus
            value={login}
            onChange={(e) => setLogin(e.target.value)}
          />
        </Field>
        <Field label="Password">
          <Line
            name="password"
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(e) => setPassword(e.target.value)}
          />
        </Field>
        {problem && (
          <Text color="brick" fontWeight="600" mb="10px" role="alert">
            {problem.what} {problem.then}
          </Text>
        )}
        <Action
          type="submit"
          tone="main"
          disabled={signIn.isPending}
          minH="40px"
          fontSize="text"
          w="full"
          justifyContent="center"
        >
          Sign in
        </Action>
      </Box>
    </Flex>
  );
}

function Field({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box as="label" display="block" mb="14px">
      <Box fontSize="note" color="muted" mb="3px">
        {label}
      </Box>
      {children}
    </Box>
  );
}

function Choose({ me }: { me: Me }) {
  const navigate = useNavigate();
  return (
    <Box maxW="640px" mx="auto" px="24px" pt="10vh">
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
      {me.projects.length === 0 && <Text color="muted">Nothing is open to you yet. Ask who runs this.</Text>}
      {me.projects.map((p) => (
        <Box key={p.id} mb="22px">
          <Heading as="h2" fontSize="head" fontWeight="800" mb="8px">
            {p.title}
          </Heading>
          <Flex gap="14px" wrap="wrap">
            {me.builder && (
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

/** Ends the session everywhere. */
export function SignOut({ dark }: { dark?: boolean }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const out = useMutation({
    mutationFn: () => ask(api.POST('/api/sign-out')),
    onSuccess: () => {
      sessionStorage.clear();
      navigate('/');
      void queries.resetQueries();
    },
  });
  return (
    <Action tone="quiet" color={dark ? 'white' : undefined} onClick={() => out.mutate()} disabled={out.isPending}>
      Sign out
    </Action>
  );
}
