import { Box, Flex, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, type Me, Refused } from '../../api/client';
import { Message, Waiting } from '../../ui/Message';
import { SignIn } from '../SignIn';
import { SignOut } from '../SignOut';
import { Look } from './Look';
import { Password } from './Password';
import { Rights } from './Rights';
import { Sessions } from './Sessions';

/** The user's own page: who am I, what may I, my password, my sessions. */
export function MyPage() {
  const me = useQuery({ queryKey: ['me', 'page'], queryFn: () => ask(api.GET('/api/me')), staleTime: 0 });
  if (me.isPending) return <Waiting what="Loading …" />;
  if (!me.data) {
    if (me.error instanceof Refused && me.error.status !== 401) return <Message problem={me.error.problem} />;
    return <SignIn onDone={() => void me.refetch()} />;
  }
  return <Page me={me.data} />;
}

function Page({ me }: { me: Me }) {
  const used = me.projects.filter((p) => p.uses && p.released);
  return (
    <Box as="main" maxW="1000px" mx="auto" px="24px" py="28px">
      <Flex align="center" gap="12px" mb="22px">
        <Link to="/" aria-label="All applications">
          <img src="/gate.svg" alt="" width="34" height="34" />
        </Link>
        <Box flex="1">
          <Heading as="h1" fontSize="title" fontWeight="800" lineHeight="1.2">
            {me.name}
          </Heading>
          <Box color="muted" fontSize="note">
            signed in as {me.login}
            {me.builder && ', builder'}
          </Box>
        </Box>
        <SignOut />
      </Flex>
      <Flex gap="44px" align="flex-start" direction={{ base: 'column', md: 'row' }}>
        <Box flex="1.5" minW={0} w="full">
          {used.length === 0 && (
            <Box color="muted">No application is open to you yet. Ask the person who runs this system.</Box>
          )}
          {used.map((p) => (
            <Rights key={p.id} slug={p.slug} title={p.title} />
          ))}
        </Box>
        <Box flex="1" minW="280px" w="full">
          <Password />
          <Sessions me={me} />
          <Look />
        </Box>
      </Flex>
    </Box>
  );
}
