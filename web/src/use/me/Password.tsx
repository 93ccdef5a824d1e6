import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, Refused } from '../../api/client';
import { wordsOfProblem } from '../../trail/Press';
import { Action, Line } from '../../ui/controls';
import { Head } from './Head';

/** Changes one's own password. */
export function Password() {
  const [old, setOld] = useState('');
  const [fresh, setFresh] = useState('');
  const [again, setAgain] = useState('');
  const change = useMutation({
    mutationFn: () => ask(api.POST('/api/me/password', { body: { old, new: fresh } })),
    onSuccess: () => {
      setOld('');
      setFresh('');
      setAgain('');
    },
  });
  const problem = change.error instanceof Refused ? change.error.problem : undefined;
  const differ = again !== '' && again !== fresh;
  return (
    <Box
      as="form"
      mb="28px"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        change.mutate();
      }}
    >
      <Head>Change your password</Head>
      <Secret label="The one you have now" auto="current-password" value={old} onChange={setOld} />
      <Secret label="The new one: 8 characters or more" auto="new-password" value={fresh} onChange={setFresh} />
      <Secret label="The new one again" auto="new-password" value={again} onChange={setAgain} wrong={differ} />
      {differ && (
        <Box color="brick" fontSize="note" mb="8px" role="alert">
          The two are not the same.
        </Box>
      )}
      {problem && (
        <Box color="brick" fontWeight="600" mb="8px" role="alert">
          {wordsOfProblem(problem)}
        </Box>
      )}
      <Action type="submit" tone="main" disabled={!old || fresh.length < 8 || again !== fresh || change.isPending}>
        Change it
      </Action>
      {change.isSuccess && (
        <Box color="pine" fontWeight="700" mt="8px" role="status">
          Changed. All other sessions of yours have ended.
        </Box>
      )}
    </Box>
  );
}

function Secret(p: { label: string; auto: string; value: string; wrong?: boolean; onChange: (v: string) => void }) {
  return (
    <Box as="label" display="block" mb="10px">
      <Box fontSize="note" color="muted" mb="3px">
        {p.label}
      </Box>
      <Line
        type="password"
        autoComplete={p.auto}
        aria-invalid={p.wrong || undefined}
        value={p.value}
        onChange={(e) => p.onChange(e.target.value)}
      />
    </Box>
  );
}
