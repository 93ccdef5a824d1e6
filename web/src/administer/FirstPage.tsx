import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask } from '../api/client';
import { Action } from '../ui/controls';
import { Asked } from './Asked';
import { wordsOf, wrongFields } from './problems';
import { Told } from './Told';

/** The first page of all: whoever has the address that the program printed becomes the first person. */
export function FirstPage() {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const token = window.location.hash.slice(1);
  const make = useMutation({
    mutationFn: async () => {
      await ask(api.POST('/api/first', { body: { token, name, login, password } }));
      return ask(api.POST('/api/sign-in', { body: { login, password } }));
    },
    onSuccess: () => navigate('/', { replace: true }),
  });
  const wrong = wrongFields(make.error);
  return (
    <Entrance
      title="Welcome to Amber Gate"
      lead="Nobody is here yet. You will be the first, and administer this program: its people, its connections, its applications."
      onSubmit={() => make.mutate()}
    >
      <Asked label="Your name" value={name} onChange={setName} auto="name" wrong={wrong.name} first />
      <Asked
        label="The name you sign in by"
        value={login}
        onChange={setLogin}
        auto="username"
        hint="short, without spaces"
        wrong={wrong.login}
      />
      <Asked
        label="A password: 8 characters or more, a few words do well"
        type="password"
        value={password}
        onChange={setPassword}
        auto="new-password"
      />
      <Told words={wordsOf(make.error)} />
      <Action type="submit" tone="main" minH="40px" disabled={!name || !login || password.length < 8 || make.isPending}>
        Begin
      </Action>
    </Entrance>
  );
}

interface EntranceProps {
  title: string;
  lead: string;
  onSubmit: () => void;
  children: React.ReactNode;
}

/** A page that somebody comes in by. */
export function Entrance({ title, lead, onSubmit, children }: EntranceProps) {
  return (
    <Flex as="main" minH="100dvh" align="center" justify="center" p="20px">
      <Box
        as="form"
        w="400px"
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          onSubmit();
        }}
      >
        <Flex align="center" gap="12px" mb="10px">
          <img src="/gate.svg" alt="" width="38" height="38" />
          <Heading as="h1" fontSize="title" fontWeight="800" lineHeight="1.2">
            {title}
          </Heading>
        </Flex>
        <Text color="muted" mb="20px">
          {lead}
        </Text>
        {children}
      </Box>
    </Flex>
  );
}
