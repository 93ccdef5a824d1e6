import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, Refused } from '../api/client';
import { Action } from '../ui/controls';
import { Message, Waiting, WayOn } from '../ui/Message';
import { Asked } from './Asked';
import { Entrance } from './FirstPage';
import { wordsOf } from './problems';
import { Told } from './Told';

/** Where a link leads that somebody was given: they set their password, and are in. */
export function JoinPage() {
  const navigate = useNavigate();
  const token = window.location.hash.slice(1);
  const link = useQuery({
    queryKey: ['link', token],
    queryFn: () => ask(api.POST('/api/link', { body: { token } })),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const [password, setPassword] = useState('');
  const [again, setAgain] = useState('');
  const join = useMutation({
    mutationFn: async () => {
      const { login } = await ask(api.PUT('/api/link', { body: { token, password } }));
      return ask(api.POST('/api/sign-in', { body: { login, password } }));
    },
    onSuccess: () => navigate('/', { replace: true }),
  });
  if (link.isPending) return <Waiting what="Reading the link …" />;
  if (!link.data) {
    if (!(link.error instanceof Refused)) throw link.error;
    return (
      <Message problem={link.error.problem}>
        <WayOn words="Sign in" glyph="user" onPress={() => navigate('/')} />
      </Message>
    );
  }
  const differ = again !== '' && again !== password;
  return (
    <Entrance
      title={`Welcome, ${link.data.name}`}
      lead={`You sign in as “${link.data.login}”. Choose a password; this link holds for that once.`}
      onSubmit={() => join.mutate()}
    >
      <Asked
        label="A password: 8 characters or more, a few words do well"
        type="password"
        value={password}
        onChange={setPassword}
        auto="new-password"
        first
      />
      <Asked
        label="The same again"
        type="password"
        value={again}
        onChange={setAgain}
        auto="new-password"
        wrong={differ ? 'The two are not the same.' : undefined}
      />
      <Told words={wordsOf(join.error)} />
      <Action
        type="submit"
        tone="main"
        minH="40px"
        disabled={password.length < 8 || again !== password || join.isPending}
      >
        Come in
      </Action>
    </Entrance>
  );
}
