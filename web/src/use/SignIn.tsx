import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
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
