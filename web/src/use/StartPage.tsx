import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { api, ask, type Me, Refused } from '../api/client';
import { Message, Waiting } from '../ui/Message';
import { Plate } from '../ui/Plate';
import { SignIn } from './SignIn';
import { SignOut } from './SignOut';

/** Sign in, then choose an application to use or to build. */
export function StartPage() {
  const me = useQuery({ queryKey: ['me'], queryFn: () => ask(api.GET('/api/me')) });
  if (me.isPending) return <Waiting what="Loading …" />;
  if (me.data) return <Choose me={me.data} />;
  if (me.error instanceof Refused && me.error.status !== 401) return <Message problem={me.error.problem} />;
  return <SignIn />;
}

function Choose({ me }: { me: Me }) {
  const navigate = useNavigate();
  return (
    <Box as="main" maxW="640px" mx="auto" px="24px" pt="10vh">
      <Flex align="center" gap="12px" mb="26px">
        <img src="/gate.svg" alt="" width="38" height="38" />
        <Heading as="h1" fontSize="title" fontWeight="800" flex="1">
          Where to, {me.name.split(' ')[0]}?
        </Heading>
        <Box asChild fontSize="note" fontWeight="700" textDecoration="underline">
          <Link to="/me">Your own page</Link>
        </Box>
        <SignOut />
      </Flex>
      {me.projects.length === 0 && (
        <Text color="muted">Nothing is open to you yet. Ask the person who runs this system.</Text>
      )}
      {me.projects.map((p) => (
        <Box key={p.id} mb="22px">
          <Heading as="h2" fontSize="head" fontWeight="800" mb="8px">
            {p.title}
          </Heading>
          <Flex gap="14px" wrap="wrap">
            {p.builds && (
              <Box as="button" w="280px" cursor="pointer" onClick={() => navigate(`/build/${p.slug}`)}>
                <Plate glyph="form" title="Build it" note="screens, ways, conditions" tone="chosen" />
              </Box>
            )}
            {p.uses && (
              <Box as="button" w="280px" cursor="pointer" onClick={() => navigate(`/use/${p.slug}`)}>
                <Plate glyph="menu" title="Use it" note={p.released ? `release ${p.released}` : 'not released yet'} />
              </Box>
            )}
          </Flex>
        </Box>
      ))}
    </Box>
  );
}
