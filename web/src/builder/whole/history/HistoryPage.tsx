import { Box, Flex } from '@chakra-ui/react';
import { useInfiniteQuery } from '@tanstack/react-query';
import { api, ask, Refused } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { Message, Waiting, WayOn } from '../../../ui/Message';
import { useWhole } from '../context';
import { EditLine } from './EditLine';
import { HistorySide } from './HistorySide';
import { type Asked, askedIn, byDay, itemOf } from './history';
import { ScreenThenView } from './ScreenThenView';

/** Who changed what, edit by edit, the newest first; and what a screen was at a time. */
export function HistoryPage({ item }: { item: string }) {
  const { openRelease } = useWhole();
  const asked = askedIn(item);
  const onAsk = (to: Asked) => openRelease(itemOf(to));
  return (
    <Flex as="main" flex="1" minH={0} minW={0}>
      <HistorySide asked={asked} onAsk={onAsk} />
      {asked.past && asked.entity ? (
        <ScreenThenView screen={asked.entity} past={asked.past} onClose={() => onAsk({ ...asked, past: undefined })} />
      ) : (
        <Edits asked={asked} onAsk={onAsk} />
      )}
    </Flex>
  );
}

function Edits({ asked, onAsk }: { asked: Asked; onAsk: (to: Asked) => void }) {
  const { project, draft } = useWhole();
  const found = useInfiniteQuery({
    queryKey: ['history', project, draft.seq, asked.entity, asked.by],
    queryFn: ({ pageParam }) =>
      ask(
        api.GET('/api/build/{project}/history', {
          params: {
            path: { project },
            query: { entity: asked.entity || undefined, by: asked.by || undefined, before: pageParam || undefined },
          },
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (last) => (last.more ? last.edits.at(-1)?.seq : undefined),
    placeholderData: (old) => old,
  });
  if (found.error instanceof Refused) {
    return (
      <Message problem={found.error.problem}>
        <WayOn words="Try again" glyph="forward" onPress={() => void found.refetch()} />
      </Message>
    );
  }
  if (!found.data) return <Waiting what="Reading the history …" />;
  const edits = found.data.pages.flatMap((p) => p.edits);
  return (
    <Box flex="1" minW={0} minH={0} overflowY="auto" p="14px 22px">
      <Box maxW="900px">
        {edits.length === 0 && (
          <Box color="muted">
            {asked.entity || asked.by ? 'Nothing was edited there by them.' : 'Nothing was edited yet.'}
          </Box>
        )}
        {byDay(edits).map(([day, of]) => (
          <Box as="section" key={day} mb="18px" aria-label={day}>
            <Box as="h2" fontWeight="800" borderBottomWidth="2px" borderColor="ink" pb="3px">
              {day}
            </Box>
            {of.map((e) => (
              <EditLine key={e.seq} edit={e} asked={asked} onAsk={onAsk} />
            ))}
          </Box>
        ))}
        {found.hasNextPage && (
          <Action disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
            Show older ones
          </Action>
        )}
      </Box>
    </Box>
  );
}
