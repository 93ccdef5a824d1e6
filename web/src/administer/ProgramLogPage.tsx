import { Box } from '@chakra-ui/react';
import { useInfiniteQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { Action } from '../ui/controls';
import { Waiting } from '../ui/Message';
import { LogEntries } from './LogEntries';
import { Page, Signed } from './Page';
import { wordsOf } from './problems';
import { Told } from './Told';

const page = 100; // entries that the server tells at once

/** Who changed people, connections, rights and releases anywhere. */
export function ProgramLogPage() {
  return (
    <Signed needs="administers">
      {(me) => (
        <Page me={me} title="Log">
          <Log />
        </Page>
      )}
    </Signed>
  );
}

function Log() {
  const log = useInfiniteQuery({
    queryKey: ['log'],
    queryFn: ({ pageParam }) => ask(api.GET('/api/log', { params: { query: { before: pageParam } } })),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (last) => (last.length < page ? undefined : last.at(-1)?.id),
  });
  if (log.isPending) return <Waiting what="Reading the log …" />;
  const entries = log.data?.pages.flat() ?? [];
  return (
    <>
      <Told words={wordsOf(log.error)} />
      {!log.error && entries.length === 0 && <Box color="muted">Nothing has been changed yet.</Box>}
      {entries.length > 0 && <LogEntries entries={entries} />}
      {log.hasNextPage && (
        <Box mt="12px">
          <Action onClick={() => void log.fetchNextPage()}>show older ones</Action>
        </Box>
      )}
    </>
  );
}
