import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, type Me } from '../../api/client';
import { Action } from '../../ui/controls';
import { Waiting } from '../../ui/Message';
import { Plate } from '../../ui/Plate';
import { Asked } from '../Asked';
import { Page } from '../Page';
import { wordsOf, wrongFields } from '../problems';
import { Told } from '../Told';

/** Over which database a new application is made; or over none yet. */
export function ChooseConnection({ me, into }: { me: Me; into?: string }) {
  const connections = useQuery({ queryKey: ['connections'], queryFn: () => ask(api.GET('/api/connections')) });
  const databases = connections.data?.filter((c) => c.kind === 'postgresql') ?? [];
  return (
    <Page me={me} title={into ? `Tables for “${into}”` : 'New application'}>
      <Box as="h2" fontSize="head" fontWeight="800" mb="10px">
        Over which database?
      </Box>
      {connections.isPending && <Waiting what="Asking the databases …" />}
      <Told words={wordsOf(connections.error)} />
      <Flex gap="14px" wrap="wrap" mb="10px">
        {databases.map((c) => (
          <Box asChild key={c.name} w="300px">
            <Link to={`/new?over=${encodeURIComponent(c.name)}${into ? `&into=${into}` : ''}`}>
              <Plate
                glyph="list"
                title={c.name}
                note={c.good ? (c.onlyRead ? 'only read: no table for presses' : c.where) : 'does not answer'}
                tone={c.good ? 'plain' : 'broken'}
              />
            </Link>
          </Box>
        ))}
      </Flex>
      {connections.data && databases.length === 0 && (
        <Box color="muted" mb="10px">
          There is no database yet.
        </Box>
      )}
      {me.administers ? (
        <Box mb="30px">
          <Box asChild textDecoration="underline" fontWeight="700" fontSize="note">
            <Link to="/connections">Add a database</Link>
          </Box>
        </Box>
      ) : (
        databases.length === 0 && <Box color="muted">Ask who administers this program to add one.</Box>
      )}
      {!into && <Empty />}
    </Page>
  );
}

function Empty() {
  const navigate = useNavigate();
  const [title, setTitle] = useState('');
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/applications', { body: { title, connection: '', tables: [] } })),
    onSuccess: (made) => navigate(`/build/${made.slug}`),
  });
  const wrong = wrongFields(make.error);
  return (
    <Box
      as="form"
      maxW="380px"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        make.mutate();
      }}
    >
      <Box as="h2" fontSize="head" fontWeight="800" mb="8px">
        Or begin with nothing
      </Box>
      <Asked label="What it is called" value={title} onChange={setTitle} wrong={wrong.title ?? wrong.slug} />
      <Told words={wordsOf(make.error)} />
      <Action type="submit" disabled={title.trim() === '' || make.isPending}>
        Make an empty application
      </Action>
    </Box>
  );
}
