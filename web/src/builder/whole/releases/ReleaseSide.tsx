import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, Refused, type ReleaseTold } from '../../../api/client';
import { Action, Line } from '../../../ui/controls';
import { useWhole } from '../context';
import { contentWords, listed, moment, usedBy } from './releases';

/** One release: who made it and why, what was lived with, and what can be done with it. */
export function ReleaseSide({ release: r }: { release: ReleaseTold }) {
  const { project, hands, openRelease } = useWhole();
  const [asking, setAsking] = useState(false);
  const [note, setNote] = useState('');
  const params = { path: { project, number: r.number } };
  const again = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/build/{project}/releases/{number}/again', {
          params: { ...params, header: { 'Idempotency-Key': crypto.randomUUID() } },
          body: { note },
        }),
      ),
    onSuccess: async ({ number }) => {
      await hands.fresh();
      openRelease(String(number));
    },
  });
  const first = useMutation({
    mutationFn: (all: boolean) =>
      ask(api.POST('/api/build/{project}/releases/{number}/first', { params, body: { all } })),
    onSuccess: hands.fresh,
  });
  const problem = again.error ?? first.error;
  const busy = again.isPending || first.isPending;
  return (
    <Flex
      as="aside"
      aria-label={`Release ${r.number}`}
      direction="column"
      gap="12px"
      w="320px"
      flexShrink={0}
      borderLeftWidth="1px"
      borderColor="rule"
      p="14px 22px"
      overflowY="auto"
    >
      <Box>
        <Box fontWeight="800">Release {r.number}</Box>
        <Box fontSize="note" color="muted">
          {moment(r.at)}, by {r.by}; {contentWords(r)}, {usedBy(r)}.
        </Box>
      </Box>
      {r.note && <Box whiteSpace="pre-wrap">{r.note}</Box>}
      {r.for.length > 0 && r.forAllAt && (
        <Box fontSize="note" color="muted">
          {listed(r.for)} used it first; all since {moment(r.forAllAt)}.
        </Box>
      )}
      {r.accepted.length > 0 && (
        <Box as="section" aria-label="Released all the same">
          <Box fontWeight="700" fontSize="note" mb="2px">
            Released all the same
          </Box>
          {r.accepted.map((a) => (
            <Box key={a.words} fontSize="note" mb="6px">
              {a.words}
              <Box color="muted">because “{a.because}”</Box>
            </Box>
          ))}
        </Box>
      )}
      {problem && (
        <Box role="alert" color="brick">
          {problem instanceof Refused
            ? `${problem.problem.what} ${problem.problem.then ?? ''}`
            : 'Nobody answered. Try again.'}
        </Box>
      )}
      <Flex direction="column" gap="8px" align="flex-start">
        {r.use === 'some' && (
          <>
            <Action tone="main" disabled={busy} onClick={() => first.mutate(true)}>
              Let all use it now
            </Action>
            <Action disabled={busy} onClick={() => first.mutate(false)}>
              Take it back from {listed(r.for)}
            </Action>
          </>
        )}
        {r.use === 'past' &&
          (asking ? (
            <Flex
              as="form"
              direction="column"
              gap="6px"
              w="full"
              onSubmit={(e: React.FormEvent) => {
                e.preventDefault();
                again.mutate();
              }}
            >
              <Box fontSize="note">
                All get what release {r.number} was, as a new release. The draft stays as it is; what people have open
                and typed stays theirs.
              </Box>
              <Line
                autoFocus
                aria-label="Note"
                placeholder="why"
                value={note}
                maxLength={2000}
                onChange={(e) => setNote(e.target.value)}
              />
              <Flex gap="6px">
                <Action type="submit" tone="main" disabled={busy}>
                  Bring it back
                </Action>
                <Action type="button" tone="quiet" onClick={() => setAsking(false)}>
                  Cancel
                </Action>
              </Flex>
            </Flex>
          ) : (
            <Action onClick={() => setAsking(true)}>Bring it back …</Action>
          ))}
        <Action asChild>
          <a href={`/api/build/${project}/releases/${r.number}/export`} download>
            Take it as a file
          </a>
        </Action>
        <Action onClick={() => openRelease(`~${r.number}`)}>Compare the draft with it</Action>
      </Flex>
    </Flex>
  );
}
