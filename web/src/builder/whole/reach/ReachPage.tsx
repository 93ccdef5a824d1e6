import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, Refused } from '../../../api/client';
import { Message, Waiting, WayOn } from '../../../ui/Message';
import { useWhole } from '../context';
import { linesShown, type Shown } from './cells';
import { ReachGrid } from './ReachGrid';
import { ReachHead } from './ReachHead';
import { ReachSide } from './ReachSide';

/** Who gets where: screens by roles, proven over all records; a cell opens its path. */
export function ReachPage({ item }: { item: string | undefined }) {
  const { project, draft, walked, openReach } = useWhole();
  const [screen, who] = item?.split('~') ?? [];
  const [shown, setShown] = useState<Shown>({ only: 'all', one: '', other: '', find: '' });
  const against = shown.only === 'release' || shown.only === 'edit' ? shown.only : undefined;
  const table = useQuery({
    queryKey: ['reach', project, draft.seq, against],
    queryFn: () => ask(api.GET('/api/build/{project}/reach', { params: { path: { project }, query: { against } } })),
    placeholderData: (old) => old,
  });
  if (table.error instanceof Refused) {
    return (
      <Message problem={table.error.problem}>
        <WayOn words="Try again" glyph="forward" onPress={() => void table.refetch()} />
      </Message>
    );
  }
  if (!table.data) return <Waiting what="Proving who gets where …" />;
  const lines = linesShown(table.data, shown);
  const key = table.data.who.find((w) => w.key === who)?.key ?? table.data.who.find((w) => w.key === walked)?.key;
  return (
    <Flex as="main" flex="1" minH={0} minW={0}>
      <Flex direction="column" flex="1" minW={0} p="14px 0 0 22px">
        <ReachHead table={table.data} shown={shown} onShown={setShown} count={lines.length} />
        {lines.length > 0 ? (
          <ReachGrid
            table={table.data}
            lines={lines}
            shown={shown}
            chosen={{ screen, who: key }}
            onChoose={openReach}
          />
        ) : (
          <Box color="muted" pt="20px">
            {nothingFor(shown)}
          </Box>
        )}
      </Flex>
      <ReachSide table={table.data} screen={screen} who={key} />
    </Flex>
  );
}

function nothingFor(s: Shown): string {
  if (s.find) return 'No screen is called that.';
  switch (s.only) {
    case 'differ':
      return s.one && s.other ? 'Both get to all screens alike.' : 'Choose the two to be compared.';
    case 'release':
      return 'Nobody gets anywhere else than in the release.';
    case 'edit':
      return 'Your last edit changed nothing of who gets where.';
    case 'expected':
      return 'Nothing is expected yet. Choose a cell and say what is to hold of it.';
    case 'trouble':
      return 'Every screen is reached by somebody, can be left again, and is as expected.';
    default:
      return 'There is no screen yet.';
  }
}
