import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { api, ask, Refused, type ReleaseTold } from '../../../api/client';
import { Message, Waiting, WayOn } from '../../../ui/Message';
import { useWhole } from '../context';
import { ListLine } from '../ListLine';
import { DifferencesPane } from './DifferencesPane';
import { DraftSide } from './DraftSide';
import { ReleaseSide } from './ReleaseSide';
import { ReleasesHead } from './ReleasesHead';
import { comparedIn, contentWords, moment, newestOf, usedBy } from './releases';

/** What users got and will get: the draft and the releases, what is different in each, and what can be done with it. */
export function ReleasesPage({ item }: { item: string | undefined }) {
  const { project, draft, openRelease } = useWhole();
  const found = useQuery({
    queryKey: ['releases', project, draft.released, draft.trial, draft.changes],
    queryFn: () => ask(api.GET('/api/build/{project}/releases', { params: { path: { project } } })),
    placeholderData: (old) => old,
  });
  if (found.error instanceof Refused) {
    return (
      <Message problem={found.error.problem}>
        <WayOn words="Try again" glyph="forward" onPress={() => void found.refetch()} />
      </Message>
    );
  }
  if (!found.data) return <Waiting what="Reading the releases …" />;
  const { list } = found.data;
  const { from, to } = comparedIn(item, draft);
  const chosen = list.find((r) => r.number === to);
  return (
    <Flex as="main" flex="1" minH={0} minW={0}>
      <Flex direction="column" w="290px" flexShrink={0} borderRightWidth="1px" borderColor="rule" minH={0}>
        <ReleasesHead at="releases" />
        <Box as="nav" aria-label="Releases" overflowY="auto" flex="1" minH={0}>
          <ListLine
            on={!chosen}
            mark="✎"
            color="amberText"
            title="The draft"
            words={
              draft.released === 0 && !draft.trial
                ? 'not released yet'
                : draft.changes === 0
                  ? 'no changes'
                  : `${draft.changes} ${draft.changes === 1 ? 'change' : 'changes'} to be released`
            }
            onPress={() => openRelease(draft.changes > 0 ? '' : `~${newestOf(draft)}`)}
          />
          {list.map((r) => (
            <ListLine
              key={r.number}
              on={r.number === to}
              mark={uses[r.use][0]}
              color={uses[r.use][1]}
              title={`${r.number}${r.note ? ` · ${r.note}` : ''}`}
              words={
                <>
                  {moment(r.at)} · {r.by}
                  <Box>
                    {contentWords(r)}, {usedBy(r)}
                  </Box>
                </>
              }
              onPress={() => openRelease(String(r.number))}
            />
          ))}
          {found.data.more && (
            <Box fontSize="note" color="muted" p="10px 22px">
              Older ones are kept for a year.
            </Box>
          )}
        </Box>
      </Flex>
      <DifferencesPane key={`${from} ${to}`} from={from} to={to} list={list} />
      {chosen ? <ReleaseSide key={chosen.number} release={chosen} /> : <DraftSide />}
    </Flex>
  );
}

const uses: Record<ReleaseTold['use'], [mark: string, color: string]> = {
  all: ['●', 'pine'],
  some: ['◐', 'pine'],
  past: ['○', 'muted'],
};
