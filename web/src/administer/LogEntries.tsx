import { Box } from '@chakra-ui/react';
import type { LogEntry } from '../api/client';

/** Who did what, when, and from where. */
export function LogEntries({ entries }: { entries: LogEntry[] }) {
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
  const everything = who.endsWith(', for all') ? ' everything' : '';
  switch (e.what) {
    case 'roles':
      return given ? `gave ${who} the roles ${given}` : `removed all roles of ${who}`;
    case 'rights':
      return given
        ? `gave ${who.replace(', for all', '')} the right ${given.replace('builds', 'to build').replace('administers', 'to administer').replace(', ', ' and ')}${everything}`
        : `removed the rights of ${who.replace(', for all', '')} to build and to administer${everything}`;
    case 'release':
      return e.detail.endsWith(' taken back')
        ? `took version ${e.detail.replace(' taken back', '')} back from those who used it first`
        : `released version ${e.detail}`;
    case 'walk':
      return `walked as ${e.detail}`;
    case 'password':
      return e.detail ? 'set their password by a link' : 'changed their own password';
    case 'sign-out-everywhere':
      return 'signed out everywhere';
    case 'person':
      return `added ${e.detail}`;
    case 'person-renamed':
      return `renamed ${who} to ${given}`;
    case 'person-disabled':
      return `kept ${e.detail} out`;
    case 'person-enabled':
      return `let ${e.detail} in again`;
    case 'may-walk':
      return e.detail.endsWith(', no more')
        ? `lets ${e.detail.replace(', no more', '')} walk as real people no more`
        : `lets ${e.detail} walk as real people`;
    case 'link':
      return `made a link for ${e.detail}`;
    case 'sessions-ended':
      return `ended all sessions of ${e.detail}`;
    case 'connection':
      return `kept the connection “${e.detail}”`;
    case 'connection-removed':
      return `removed the connection “${e.detail}”`;
    case 'display':
      return `added the display “${e.detail}”`;
    case 'display-changed':
      return `changed the display “${e.detail}”`;
    case 'display-code':
      return `made a code for the display “${e.detail}”`;
    case 'display-removed':
      return `removed the display “${e.detail}”`;
    case 'application':
      return `made the application “${e.detail}”`;
  }
  return [e.what, e.detail].filter(Boolean).join(': ');
}
