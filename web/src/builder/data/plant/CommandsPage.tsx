import { Box } from '@chakra-ui/react';
import { api, ask, type CommandLogged } from '../../../api/client';
import { useRights } from '../context';
import { LogFrame } from '../LogFrame';

const stateWords: Record<string, string> = {
  intended: 'not sent yet',
  sent: 'on its way',
  done: 'taken by the plant',
  refused: 'refused',
  unknown: 'no answer came',
  expired: 'not sent in time',
};

/** What the application sent to plants: who, when, from what to what, and what came of it. */
export function CommandsPage() {
  const { project } = useRights();
  return (
    <LogFrame
      name={`commands ${project}`}
      title="Commands"
      about="What was sent to the plant: who, when, from what to what, and what came of it."
      none="Nothing has been sent yet."
      read={(before) =>
        ask(api.GET('/api/build/{project}/commands', { params: { path: { project }, query: { before } } }))
      }
    >
      {(entries) => (
        <Box overflowY="auto" flex="1" minH={0}>
          <Box as="table" w="full" textAlign="left" aria-label="Commands" css={{ borderCollapse: 'collapse' }}>
            <Box as="thead" color="muted" fontSize="note">
              <tr>
                {['When', 'Who', 'What', 'From', 'To', 'What came of it'].map((words) => (
                  <Box asChild key={words} fontWeight="600" pr="12px" pb="4px">
                    <th scope="col">{words}</th>
                  </Box>
                ))}
              </tr>
            </Box>
            <tbody>
              {entries.map((c) => (
                <CommandLine key={c.id} command={c} />
              ))}
            </tbody>
          </Box>
        </Box>
      )}
    </LogFrame>
  );
}

function CommandLine({ command: c }: { command: CommandLogged }) {
  const bad = c.state === 'refused' || c.state === 'unknown' || c.state === 'expired';
  return (
    <Box as="tr" borderTopWidth="1px" borderColor="rule" verticalAlign="top">
      <Box as="td" py="6px" pr="12px" whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
        {new Date(c.at).toLocaleString('en-GB', {
          day: 'numeric',
          month: 'short',
          hour: '2-digit',
          minute: '2-digit',
          second: '2-digit',
        })}
      </Box>
      <Box as="td" py="6px" pr="12px">
        {c.who}
      </Box>
      <Box as="td" py="6px" pr="12px" fontWeight="700">
        {c.label}
        <Box fontFamily="mono" fontSize="12px" color="muted" fontWeight="400">
          {c.node}
        </Box>
      </Box>
      <Box as="td" py="6px" pr="12px">
        {said(c.old)}
      </Box>
      <Box as="td" py="6px" pr="12px" fontWeight="700">
        {said(c.value)}
      </Box>
      <Box as="td" py="6px" color={bad ? 'brick' : undefined} fontWeight={bad ? '700' : undefined}>
        {stateWords[c.state] ?? c.state}
        {c.why ? `: ${c.why}` : ''}
      </Box>
    </Box>
  );
}

/** A value as it is read: yes and no in words. */
const said = (value: string | undefined) => ({ true: 'yes', false: 'no', '': '–' })[value ?? ''] ?? value;
