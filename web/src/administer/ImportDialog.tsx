import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type FileLook } from '../api/client';
import { Action, Select } from '../ui/controls';
import { Frame } from '../ui/Frame';
import { Asked } from './Asked';
import { wordsOf, wrongFields } from './problems';
import { Told } from './Told';

/** Makes an application of a file: what is in it is seen first, and which connections it needs. */
export function ImportDialog({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [title, setTitle] = useState('');
  const [connect, setConnect] = useState<Record<string, string>>({});
  // As it is: the file is the body.
  const as = { bodySerializer: (t: unknown) => t as string, body: text as never };
  const look = useMutation({
    mutationFn: (file: string) => ask(api.POST('/api/imports/look', { ...as, body: file as never })),
    onSuccess: (seen) => setTitle(seen.taken ? `${seen.title} 2` : seen.title),
  });
  const make = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/imports', {
          ...as,
          params: {
            query: {
              title: title === look.data?.title ? undefined : title,
              connect: Object.entries(connect)
                .filter(([, here]) => here !== '')
                .map(([there, here]) => `${there}=${here}`),
            },
          },
        }),
      ),
    onSuccess: (made) => navigate(`/build/${made.slug}`),
  });
  const wrong = wrongFields(make.error);
  return (
    <Frame
      title="Import an application"
      told
      stays
      width="560px"
      onClose={onClose}
      foot={
        <>
          <Action onClick={onClose}>Cancel</Action>
          <Action
            tone="main"
            onClick={() => make.mutate()}
            disabled={!look.data || title.trim() === '' || make.isPending}
          >
            Import it
          </Action>
        </>
      }
    >
      <Box color="muted" mb="8px">
        A file that was exported here or elsewhere (JSON). It holds no records and no passwords.
      </Box>
      <Box asChild mb="12px">
        <input
          type="file"
          accept=".json,application/json"
          aria-label="File with an application"
          onChange={(e) =>
            void e.target.files?.[0]?.text().then((t) => {
              setText(t);
              look.mutate(t);
            })
          }
        />
      </Box>
      <Told words={wordsOf(look.error)} />
      {look.data && (
        <>
          <Box mb="12px">
            {look.data.screens} screens over {look.data.tables} tables
            {look.data.pictures > 0 && `, ${look.data.pictures} pictures`}.
          </Box>
          <Asked label="What it is called here" value={title} onChange={setTitle} wrong={wrong.title ?? wrong.slug} />
          <Needs look={look.data} connect={connect} onConnect={setConnect} />
        </>
      )}
      <Told words={wordsOf(make.error)} />
    </Frame>
  );
}

interface NeedsProps {
  look: FileLook;
  connect: Record<string, string>;
  onConnect: (c: Record<string, string>) => void;
}

function Needs({ look, connect, onConnect }: NeedsProps) {
  const connections = useQuery({ queryKey: ['connections'], queryFn: () => ask(api.GET('/api/connections')) });
  return look.needs.map((need) => (
    <Flex as="label" key={need.name} align="center" gap="8px" mb="8px" wrap="wrap">
      <Box flex="1" minW="200px">
        “{need.name}”, a {need.type === 'plant' ? 'plant' : 'database'}
        {need.here ? '' : ', is not here'}
      </Box>
      <Select value={connect[need.name] ?? ''} onChange={(e) => onConnect({ ...connect, [need.name]: e.target.value })}>
        <option value="">{need.here ? `is “${need.name}” here` : 'comes later'}</option>
        {connections.data
          ?.filter((c) => c.kind === need.type && c.name !== need.name)
          .map((c) => (
            <option key={c.name} value={c.name}>
              is “{c.name}” here
            </option>
          ))}
      </Select>
    </Flex>
  ));
}
