import { Box } from '@chakra-ui/react';
import { useInfiniteQuery } from '@tanstack/react-query';
import { LogEntries } from '../../administer/LogEntries';
import { api, ask, Refused } from '../../api/client';
import { Action } from '../../ui/controls';
import { Message, Waiting, WayOn } from '../../ui/Message';
import { useRights } from './context';
import { ViewHead } from './ViewHead';

const page = 100; // entries that the server tells at once

/** Who did what to roles, rights, releases and their accounts, and from where. */
export function LogPage() {
  const { project } = useRights();
  const log = useInfiniteQuery({
    queryKey: ['log', project],
    queryFn: ({ pageParam }) =>
      ask(api.GET('/api/build/{project}/log', { params: { path: { project }, query: { before: pageParam } } })),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (last) => (last.length < page ? undefined : last.at(-1)?.id),
  });
  if (log.error instanceof Refused) {
    return (
      <Message problem={log.error.problem}>
        <WayOn words="Try again" glyph="forward" onPress={() => void log.refetch()} />
      </Message>
    );
  }
  if (!log.data) return <Waiting what="Reading the log …" />;
  const entries = log.data.pages.flat();
  return (
    <>
      <ViewHead title="Log">Roles, rights, releases and accounts: who changed what, and from where.</ViewHead>
      {entries.length === 0 && <Box color="muted">Nothing has been changed yet.</Box>}
      {entries.length > 0 && <LogEntries entries={entries} />}
      {log.hasNextPage && (
        <Box mt="12px">
          <Action onClick={() => void log.fetchNextPage()}>show older ones</Action>
        </Box>
      )}
    </>
  );
}
