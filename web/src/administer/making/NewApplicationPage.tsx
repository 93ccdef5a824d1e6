import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, ask, type Me, type TableInfo } from '../../api/client';
import { Action, Line } from '../../ui/controls';
import { Waiting } from '../../ui/Message';
import { Bar, Signed } from '../Page';
import { wordsOf, wrongFields } from '../problems';
import { Told } from '../Told';
import { ChooseConnection } from './ChooseConnection';
import { MadeMap } from './MadeMap';
import { TableChooser } from './TableChooser';
import { TableProposal } from './TableProposal';
import { useProposal } from './useProposal';
import { useWishes, type Wishes } from './useWishes';

/** A new application: tables are chosen, everything else is proposed, and can be corrected before it is made. */
export function NewApplicationPage() {
  const [asked] = useSearchParams();
  const over = asked.get('over');
  const into = asked.get('into') ?? undefined;
  return (
    <Signed needs="makes">
      {(me) => (over ? <Making me={me} connection={over} into={into} /> : <ChooseConnection me={me} into={into} />)}
    </Signed>
  );
}

function Making({ me, connection, into }: { me: Me; connection: string; into?: string }) {
  const structure = useQuery({
    queryKey: ['tables', connection],
    queryFn: () => ask(api.GET('/api/connections/{connection}/tables', { params: { path: { connection } } })),
    staleTime: 60_000,
  });
  const wishes = useWishes(connection, structure.data?.database ?? '');
  if (structure.isPending) {
    return (
      <>
        <Bar me={me} />
        <Waiting what={`Reading what is in “${connection}” …`} />
      </>
    );
  }
  if (!structure.data) {
    return (
      <>
        <Bar me={me} />
        <Box as="main" maxW="640px" mx="auto" p="24px">
          <Told words={wordsOf(structure.error)} />
          <Action onClick={() => void structure.refetch()}>Try again</Action>
        </Box>
      </>
    );
  }
  return <Proposed wishes={wishes} tables={structure.data.tables} connection={connection} into={into} />;
}

interface ProposedProps {
  wishes: Wishes;
  tables: TableInfo[];
  connection: string;
  into: string | undefined; // an application that is empty yet
}

function Proposed({ wishes, tables, connection, into }: ProposedProps) {
  const navigate = useNavigate();
  const [open, setOpen] = useState<string>();
  const proposal = useProposal(wishes.wish);
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/applications', { body: wishes.wish, params: { query: { into } } })),
    onSuccess: (made) => navigate(`/build/${made.slug}`),
  });
  const proposed = proposal.data;
  const chosen = wishes.wish.tables.length > 0;
  const screens = proposed?.screens.filter((s) => s.made).length ?? 0;
  const ways = proposed?.ways.filter((w) => w.made).length ?? 0;
  const table = proposed?.tables.find((t) => `${t.schema}.${t.name}` === open) ?? proposed?.tables[0];
  const wrong = wrongFields(make.error);
  return (
    <Flex direction="column" h="100dvh">
      <Flex
        as="header"
        align="center"
        gap="12px"
        px="16px"
        minH="52px"
        bg="plate"
        borderBottomWidth="1px"
        borderColor="rule"
      >
        <img src="/gate.svg" alt="" width="26" height="26" />
        <Box as="h1" fontWeight="800">
          {into ? `Tables for “${into}”` : 'New application'}
        </Box>
        <Line
          hidden={into !== undefined}
          aria-label="What the application is called"
          w="230px"
          value={wishes.wish.title}
          onChange={(e) => wishes.set({ title: e.target.value })}
        />
        <Box fontSize="note" color="muted" flex="1" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis">
          over “{connection}”, {tables.length} tables and views
        </Box>
        <Action onClick={() => navigate('/')}>Cancel</Action>
        <Action
          tone="main"
          onClick={() => make.mutate()}
          disabled={!chosen || !proposed || proposal.isFetching || make.isPending || wishes.wish.title.trim() === ''}
        >
          {chosen && proposed ? `Make ${screens} screens, ${ways} ways` : 'Make it'}
        </Action>
      </Flex>
      {make.error && (
        <Box px="16px" bg="plate">
          <Told words={wordsOf(make.error) ?? wrong.slug ?? wrong.title ?? wrong.zone} />
        </Box>
      )}
      <Flex flex="1" minH={0}>
        <TableChooser
          tables={tables}
          wishes={wishes}
          proposed={proposed}
          open={table && `${table.schema}.${table.name}`}
          onOpen={setOpen}
        />
        <Box as="main" flex="1" minW={0} overflowY="auto" px="20px" py="14px">
          {!chosen && <Nothing />}
          <Told words={chosen ? wordsOf(proposal.error) : undefined} />
          {chosen && table && proposed && (
            <>
              <TableProposal table={table} wishes={wishes} />
              <MadeMap proposed={proposed} wishes={wishes} />
            </>
          )}
        </Box>
      </Flex>
    </Flex>
  );
}

function Nothing() {
  return (
    <Box color="muted" maxW="520px" pt="40px">
      <Box fontSize="head" fontWeight="800" color="ink" mb="6px">
        Take in the tables that people work with.
      </Box>
      For each there will be a list and a form, ways between them as the database says they belong together, a start
      screen, and roles for those who look and those who change. Everything can be corrected here, and later.
    </Box>
  );
}
