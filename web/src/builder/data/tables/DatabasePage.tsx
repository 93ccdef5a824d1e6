import { Box, Flex } from '@chakra-ui/react';
import { type Difference, Refused, type SourceRead } from '../../../api/client';
import { wordsOfProblem } from '../../../trail/Press';
import { Action } from '../../../ui/controls';
import { Message, Waiting, WayOn } from '../../../ui/Message';
import { useRights } from '../context';
import { ViewHead } from '../ViewHead';
import { useStructure } from './useDifferences';

/** The databases as they are now: what differs from the application, and what would mend it. */
export function DatabasePage() {
  const { project, draft } = useRights();
  const read = useStructure(project, draft.seq);
  if (read.error instanceof Refused) {
    return (
      <Message problem={read.error.problem}>
        <WayOn words="Try again" glyph="forward" onPress={() => void read.refetch()} />
      </Message>
    );
  }
  if (!read.data) return <Waiting what="Reading the databases …" />;
  return (
    <>
      <ViewHead title="Read again">
        What differs between the application and its databases as they are now. Nothing is changed unseen.
      </ViewHead>
      <Box mb="12px">
        <Action onClick={() => void read.refetch()} disabled={read.isFetching}>
          {read.isFetching ? 'Reading …' : 'Read again'}
        </Action>
      </Box>
      {read.data.length === 0 && <Box color="muted">The application is over no database.</Box>}
      <Box overflowY="auto">
        {read.data.map((s) => (
          <Source key={s.source} source={s} />
        ))}
      </Box>
    </>
  );
}

const heads: [kind: string, words: string][] = [
  ['gone', 'Gone'],
  ['changed', 'Otherwise now'],
  ['new', 'Not taken in'],
];

function Source({ source: s }: { source: SourceRead }) {
  return (
    <Box as="section" aria-label={s.name} mb="22px" maxW="860px">
      <Flex align="baseline" gap="10px" mb="6px">
        <Box as="h2" fontWeight="800">
          {s.name}
        </Box>
        <Box color="muted" fontSize="note">
          over “{s.connection}”
        </Box>
      </Flex>
      {s.no && (
        <Box color="brick" fontWeight="600" role="alert">
          {wordsOfProblem(s.no)}
        </Box>
      )}
      {!s.no && s.differences.length === 0 && <Box color="muted">Nothing differs.</Box>}
      {heads.map(([kind, words]) => {
        const own = s.differences.filter((d) => d.kind === kind);
        return own.length > 0 ? (
          <Box key={kind} mb="12px">
            <Box as="h3" fontSize="note" fontWeight="700" color="muted" mb="2px">
              {words}
            </Box>
            <Box as="ul" listStyleType="none" aria-label={words}>
              {own.map((d) => (
                <Line key={d.words} difference={d} />
              ))}
            </Box>
          </Box>
        ) : null;
      })}
    </Box>
  );
}

function Line({ difference: d }: { difference: Difference }) {
  const { edit } = useRights();
  const { patch, mend } = d;
  return (
    <Flex as="li" align="center" gap="12px" borderTopWidth="1px" borderColor="rule" py="5px" minH="42px">
      <Box flex="1" color={d.kind === 'gone' ? 'brick' : 'ink'}>
        {d.words}
      </Box>
      {patch && mend && (
        <Action aria-label={`${mend}: ${d.words}`} onClick={() => void edit(patch)}>
          {mend}
        </Action>
      )}
    </Flex>
  );
}
