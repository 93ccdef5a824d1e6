import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, ask, type Me } from '../../api/client';
import { Action } from '../../ui/controls';
import { Head } from './Head';

/** Where one is signed in, and who tried to. */
export function Sessions({ me }: { me: Me }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const out = useMutation({
    mutationFn: () => ask(api.POST('/api/me/sign-out-everywhere')),
    onSuccess: () => {
      sessionStorage.clear();
      navigate('/');
      void queries.resetQueries();
    },
  });
  return (
    <Box as="section" aria-label="Sessions">
      <Head>Where you are signed in</Head>
      <Box mb="8px">
        {me.sessions === 1 ? 'Only here.' : `In ${me.sessions} browsers, including this one.`} A session ends by itself
        after twelve hours, or four in which nothing is done.
      </Box>
      <Action onClick={() => out.mutate()} disabled={out.isPending}>
        Sign out everywhere
      </Action>
      <Box color="muted" fontSize="note" mt="16px" mb="4px">
        The last attempts to sign in with your name
      </Box>
      <Box as="ul" listStyleType="none" fontSize="note">
        {me.attempts.map((a) => (
          <Flex as="li" key={a.at} gap="10px" py="2px">
            <Box w="130px">
              {new Date(a.at).toLocaleString('en-GB', {
                day: 'numeric',
                month: 'short',
                hour: '2-digit',
                minute: '2-digit',
              })}
            </Box>
            <Box flex="1" color="muted">
              from {a.from}
            </Box>
            <Box color={a.ok ? 'pine' : 'brick'} fontWeight="700">
              {a.ok ? 'signed in' : 'failed'}
            </Box>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
