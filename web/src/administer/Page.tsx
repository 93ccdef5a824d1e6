import { Box, Flex, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { api, ask, type Me, Refused } from '../api/client';
import { Message, Waiting } from '../ui/Message';
import { SignIn } from '../use/SignIn';
import { SignOut } from '../use/SignOut';

/** Who is signed in; a page for them, or for nobody the sign-in. */
export function Signed({ needs, children }: { needs: 'makes' | 'administers'; children: (me: Me) => ReactNode }) {
  const me = useQuery({ queryKey: ['me'], queryFn: () => ask(api.GET('/api/me')) });
  if (me.isPending) return <Waiting what="Loading …" />;
  if (me.data?.[needs]) return <>{children(me.data)}</>;
  if (me.data)
    return (
      <Message
        problem={{
          code: 'no-administrator',
          what: needs === 'makes' ? 'You make no applications here.' : 'You do not administer this program.',
          // biome-ignore lint/suspicious/noThenProperty: the field of the documented error form
          then: 'Ask who administers it for the right.',
        }}
      >
        <Link to="/">All applications</Link>
      </Message>
    );
  if (me.error instanceof Refused && me.error.status !== 401) return <Message problem={me.error.problem} />;
  return <SignIn onDone={() => void me.refetch()} />;
}

/** A page of who runs the program: where one is at the left, oneself at the right. */
export function Page({
  me,
  title,
  action,
  children,
}: {
  me: Me;
  title: string;
  action?: ReactNode;
  children: ReactNode;
}) {
  return (
    <>
      <Bar me={me} />
      <Box as="main" maxW="1080px" mx="auto" px="24px" py="26px">
        <Flex align="center" gap="14px" mb="20px">
          <Heading as="h1" fontSize="title" fontWeight="800" flex="1" lineHeight="1.2">
            {title}
          </Heading>
          {action}
        </Flex>
        {children}
      </Box>
    </>
  );
}

/** The one bar over all that belongs to no single application. */
export function Bar({ me }: { me: Me }) {
  const { pathname } = useLocation();
  const links: [string, string, boolean][] = [
    ['/', 'Applications', true],
    ['/connections', 'Connections', me.administers],
    ['/people', 'People', me.administers],
    ['/displays', 'Displays', me.administers],
    ['/log', 'Log', me.administers],
  ];
  return (
    <Flex
      as="header"
      align="center"
      gap="10px"
      px="16px"
      h="46px"
      bg="plate"
      borderBottomWidth="1px"
      borderColor="rule"
    >
      <img src="/gate.svg" alt="" width="26" height="26" />
      <Flex as="nav" aria-label="Parts of the program" gap="2px" flex="1" ml="6px">
        {links
          .filter(([, , open]) => open)
          .map(([to, words]) => (
            <Box
              asChild
              key={to}
              px="9px"
              lineHeight="42px"
              fontWeight="700"
              color={pathname === to ? 'ink' : 'muted'}
              borderBottomWidth="3px"
              borderColor={pathname === to ? 'amber' : 'transparent'}
              _hover={{ color: 'ink' }}
            >
              <Link to={to} aria-current={pathname === to ? 'page' : undefined}>
                {words}
              </Link>
            </Box>
          ))}
      </Flex>
      <Box asChild fontSize="note" fontWeight="700" textDecoration="underline">
        <Link to="/me">{me.name}</Link>
      </Box>
      <SignOut />
    </Flex>
  );
}
