import { Box } from '@chakra-ui/react';
import { useInfiniteQuery } from '@tanstack/react-query';
import { api, ask, type LogEntry, Refused } from '../../api/client';
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
      {entries.length > 0 && <Entries entries={entries} />}
      {log.hasNextPage && (
        <Box mt="12px">
          <Action onClick={() => void log.fetchNextPage()}>show older ones</Action>
        </Box>
      )}
    </>
  );
}

function Entries({ entries }: { entries: LogEntry[] }) {
  return (
    <Box flex="1" minH={0} overflow="auto">
      <Box as="table" w="full" fontSize="note" aria-label="Log" css={{ borderCollapse: 'collapse' }}>
        <thead>
          <tr>
            {['When', 'Who', 'What', 'From'].map((head) => (
              <Box
                as="th"
                key={head}
                {...{ scope: 'col' }}
                textAlign="left"
                color="muted"
                fontWeight="700"
                position="sticky"
                top="0"
                bg="paper"
                pr="18px"
                pb="6px"
              >
                {head}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {entries.map((e) => (
            <Box as="tr" key={e.id} borderTopWidth="1px" borderColor="rule">
              <Box as="td" py="6px" pr="18px" whiteSpace="nowrap" color="muted">
                {new Date(e.at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}
              </Box>
              <Box as="td" pr="18px" fontWeight="700" whiteSpace="nowrap">
                {e.who}
              </Box>
              <Box as="td" pr="18px" w="full">
                {deedWords(e)}
              </Box>
              <Box as="td" color="muted" fontFamily="mono" whiteSpace="nowrap">
                {e.from || '–'}
              </Box>
            </Box>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

/** What was done, in words. */
export function deedWords(e: Pick<LogEntry, 'what' | 'detail'>): string {
  const [who = '', given = ''] = e.detail.split(': ');
  switch (e.what) {
    case 'roles':
      return given ? `gave ${who} the roles ${given}` : `removed all roles of ${who}`;
    case 'rights':
      return given
        ? `gave ${who} the right ${given.replace('builds', 'to build').replace('administers', 'to administer').replace(', ', ' and ')}`
        : `removed the rights of ${who} to build and to administer`;
    case 'release':
      return `released version ${e.detail}`;
    case 'walk':
      return `walked as ${e.detail}`;
    case 'password':
      return 'changed their own password';
    case 'sign-out-everywhere':
      return 'signed out everywhere';
  }
  return [e.what, e.detail].filter(Boolean).join(': ');
}
