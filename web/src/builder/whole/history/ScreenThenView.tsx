import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { api, ask, Refused } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { Message, Waiting, WayOn } from '../../../ui/Message';
import { useWhole } from '../context';
import { Drawn } from '../Drawn';
import { ChangeLine } from '../releases/ChangeLine';
import { moment } from '../releases/releases';
import type { Past } from './history';

interface ThenProps {
  screen: string;
  past: Past;
  onClose: () => void;
}

/** A screen as it was: drawn, and what was changed of it since. */
export function ScreenThenView({ screen, past, onClose }: ThenProps) {
  const { project, draft, as } = useWhole();
  const found = useQuery({
    queryKey: ['then', project, draft.seq, screen, as, past.before, past.at],
    queryFn: () =>
      ask(
        api.POST('/api/build/{project}/history/screen', {
          params: { path: { project } },
          body: { screen, as, at: past.at, before: past.before },
        }),
      ),
  });
  if (found.error instanceof Refused) {
    return (
      <Message problem={found.error.problem}>
        <WayOn words="Back to the edits" glyph="back" onPress={onClose} />
      </Message>
    );
  }
  if (!found.data) return <Waiting what="Going back …" />;
  const { title, there, view, refused, differences } = found.data;
  const when = past.at ? moment(past.at) : `before edit ${past.before}`;
  return (
    <Flex direction="column" flex="1" minW={0} minH={0} p="14px 22px" gap="10px">
      <Flex align="baseline" gap="10px">
        <Box as="h2" fontSize="head" fontWeight="800">
          {title || 'A screen that is gone'}
        </Box>
        <Box color="muted" fontSize="note" flex="1">
          as it was {when}
        </Box>
        <Action onClick={onClose}>Back to the edits</Action>
      </Flex>
      {view ? (
        <Drawn view={view} label={`${title} as it was ${when}`} />
      ) : (
        <Box color="muted">
          {there
            ? `${refused?.what ?? 'It cannot be drawn.'} ${refused?.then ?? ''}`
            : 'There was no such screen then.'}
        </Box>
      )}
      {there && (
        <Box as="section" aria-label="What was changed since" maxH="34%" overflowY="auto" flexShrink={0}>
          <Box fontWeight="800">{differences.length === 0 ? 'It is the same now' : 'What was changed of it since'}</Box>
          <Box as="ul" listStyleType="none" m={0} p={0}>
            {differences.map((c) => (
              <ChangeLine key={`${c.at} ${c.what ?? ''} ${c.paths[0] ?? ''}`} change={c} />
            ))}
          </Box>
        </Box>
      )}
    </Flex>
  );
}
