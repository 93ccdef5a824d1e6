import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, Refused } from '../api/client';
import { wordsOfProblem } from '../trail/Press';
import { Action, Line } from '../ui/controls';

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
    <Flex as="main" minH="100dvh" align="center" justify="center" p="20px">
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
            {wordsOfProblem(problem)}
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
        <Otherwise />
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

/** Signing in by an issuer, where there is one; and what to do while nobody is here yet. */
function Otherwise() {
  const first = useQuery({ queryKey: ['first'], queryFn: () => ask(api.GET('/api/first')), staleTime: 60_000 });
  const why = new URLSearchParams(window.location.search).get('issuer');
  return (
    <>
      {first.data?.needed && (
        <Text color="muted" mt="14px">
          Nobody is here yet. Open the address that the program printed when it was started.
        </Text>
      )}
      {first.data?.issuer && (
        <Action asChild minH="40px" fontSize="text" w="full" justifyContent="center" mt="10px">
          <a href="/api/issuer">Sign in by {first.data.issuer}</a>
        </Action>
      )}
      {why && (
        <Text color="brick" fontWeight="600" mt="12px" role="alert">
          {issuerWords[why] ?? issuerWords.away}
        </Text>
      )}
    </>
  );
}

const issuerWords: Record<string, string> = {
  away: 'It does not answer, or is not the one it is said to be. Try again, or tell who runs this program.',
  state: 'This way in was used before, or began in another browser. Begin again.',
  refused: 'It did not let you in.',
  untrue: 'What it said cannot be trusted. Begin again, and tell who runs this program if it goes on.',
  nameless: 'It does not say what you are called here. Tell who runs this program.',
  unknown: 'Nobody here is known by that. Ask who runs this program to add you.',
  taken: 'Somebody else signs in by your name here. Ask who runs this program.',
};
