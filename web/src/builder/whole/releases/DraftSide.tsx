import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, Refused } from '../../../api/client';
import { isReleasable } from '../../../document/project';
import { Action } from '../../../ui/controls';
import { Tick } from '../../../ui/Tick';
import { useWhole } from '../context';
import { ForWhom, type Some } from './ForWhom';
import { Stops } from './Stops';

/** Releasing the draft: what stands in its way, a note, and for whom. */
export function DraftSide() {
  const { project, draft, hands, openRelease } = useWhole();
  const [note, setNote] = useState('');
  const [first, setFirst] = useState(false);
  const [some, setSome] = useState<Some>({ roles: [], people: [] });
  const [because, setBecause] = useState<Record<string, string>>({});
  const releasable = isReleasable(draft);
  const ready = useQuery({
    queryKey: ['readiness', project, draft.seq],
    queryFn: () => ask(api.GET('/api/build/{project}/readiness', { params: { path: { project } } })),
    enabled: releasable,
    gcTime: 0, // what walks find hangs on the records, too
  });
  const stops = ready.data?.stops ?? [];
  const open = stops.filter((s) => !because[s.key]?.trim());
  const nobody = first && some.roles.length + some.people.length === 0;
  const release = () =>
    hands.release
      .mutateAsync({
        note: note.trim(),
        accepted: stops.map((s) => ({ key: s.key, because: because[s.key] ?? '' })),
        first: first ? some : undefined,
        seq: draft.seq,
      })
      .then(({ number }) => openRelease(String(number)))
      .catch(() => undefined); // the bar tells why
  return (
    <Flex
      as="aside"
      aria-label="Release the draft"
      direction="column"
      gap="14px"
      w="320px"
      flexShrink={0}
      borderLeftWidth="1px"
      borderColor="rule"
      p="14px 22px"
      overflowY="auto"
    >
      <Box fontWeight="800">Release the draft</Box>
      {!releasable ? (
        <Box fontSize="note" color="muted">
          Users have what the draft is. Edit something, and it can be released.
        </Box>
      ) : (
        <>
          <Box as="label">
            <Box color="muted" fontSize="note" mb="2px">
              Note
            </Box>
            <Box
              asChild
              w="full"
              minH="64px"
              p="6px 10px"
              bg="plate"
              borderWidth="1px"
              borderColor="rule"
              borderRadius="4px"
            >
              <textarea
                placeholder="what is new, and why"
                value={note}
                maxLength={2000}
                onChange={(e) => setNote(e.target.value)}
              />
            </Box>
          </Box>
          <Box>
            <Tick words="for some first" on={first} onTick={() => setFirst(!first)} />
            {first && <ForWhom some={some} onSome={setSome} />}
          </Box>
          {ready.error instanceof Refused ? (
            <Box role="alert" color="brick">
              {ready.error.problem.what}{' '}
              <Action minH="26px" onClick={() => void ready.refetch()}>
                Try again
              </Action>
            </Box>
          ) : ready.data ? (
            <Stops ready={ready.data} because={because} onBecause={setBecause} />
          ) : (
            <Box fontSize="note" color="muted" aria-live="polite">
              Running the checks, and going the walks …
            </Box>
          )}
          <Action
            tone="main"
            alignSelf="flex-start"
            disabled={!ready.data || open.length > 0 || nobody || hands.release.isPending}
            title={
              open.length > 0
                ? 'Mend what stops it, or say why it is released all the same'
                : nobody
                  ? 'Choose who uses it first'
                  : undefined
            }
            onClick={() => void release()}
          >
            {hands.release.isPending ? 'Releasing …' : first ? 'Release for them' : 'Release for all'}
          </Action>
        </>
      )}
    </Flex>
  );
}
