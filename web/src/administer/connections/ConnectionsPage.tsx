import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type ConnectionInfo } from '../../api/client';
import { Action } from '../../ui/controls';
import { Waiting } from '../../ui/Message';
import { Page, Signed } from '../Page';
import { wordsOf } from '../problems';
import { Told } from '../Told';
import { ConnectionDialog } from './ConnectionDialog';
import { OwnCertificate } from './OwnCertificate';
import { PlantDialog } from './PlantDialog';
import { PlantTree } from './PlantTree';
import { TriedWords } from './TriedWords';

/** The databases and plants that applications are over. */
export function ConnectionsPage() {
  return (
    <Signed needs="administers">
      {(me) => (
        <Connections>
          {(list, add) => (
            <Page
              me={me}
              title="Connections"
              action={
                <Flex gap="8px">
                  <Action tone="main" onClick={() => add('database')}>
                    Add a database
                  </Action>
                  <Action tone="main" onClick={() => add('plant')}>
                    Add a plant
                  </Action>
                </Flex>
              }
            >
              {list}
            </Page>
          )}
        </Connections>
      )}
    </Signed>
  );
}

function Connections({
  children,
}: {
  children: (list: React.ReactNode, add: (kind: Kind) => void) => React.ReactNode;
}) {
  const [open, setOpen] = useState<ConnectionInfo | Kind>();
  const connections = useQuery({
    queryKey: ['connections'],
    queryFn: () => ask(api.GET('/api/connections')),
    // What does not answer may do so in a moment: a plant that was just added, a database that starts.
    refetchInterval: (q) => (q.state.data?.some((c) => !c.good && !c.sealed) ? 3000 : false),
  });
  const list = (
    <>
      {connections.isPending && <Waiting what="Asking the databases …" />}
      <Told words={wordsOf(connections.error)} />
      {connections.data?.length === 0 && (
        <Box color="muted" maxW="560px">
          No connection yet. An application reads and changes the records of a PostgreSQL database: add yours, and it
          can be built over. A plant that speaks OPC UA is added beside it. Passwords are sealed here, and shown to
          nobody.
        </Box>
      )}
      {connections.data?.map((c) => (
        <OneConnection key={c.name} connection={c} onChange={() => setOpen(c)} />
      ))}
      {connections.data?.some((c) => c.kind === 'plant') && <OwnCertificate />}
      {open && <Dialog of={open} onClose={() => setOpen(undefined)} />}
    </>
  );
  return <>{children(list, setOpen)}</>;
}

type Kind = 'database' | 'plant';

function Dialog({ of, onClose }: { of: ConnectionInfo | Kind; onClose: () => void }) {
  const was = typeof of === 'string' ? undefined : of;
  return of === 'plant' || was?.kind === 'plant' ? (
    <PlantDialog was={was} onClose={onClose} />
  ) : (
    <ConnectionDialog was={was} onClose={onClose} />
  );
}

function OneConnection({ connection: c, onChange }: { connection: ConnectionInfo; onChange: () => void }) {
  const queries = useQueryClient();
  const [looks, setLooks] = useState(false);
  const params = { path: { connection: c.name } };
  const attempt = useMutation({ mutationFn: () => ask(api.POST('/api/connections/{connection}/try', { params })) });
  const remove = useMutation({
    mutationFn: () => ask(api.DELETE('/api/connections/{connection}', { params })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['connections'] }),
  });
  return (
    <Box as="section" aria-label={c.name} borderTopWidth="1px" borderColor="rule" py="14px">
      <Flex gap="12px" align="baseline" wrap="wrap">
        <Box as="h2" fontSize="head" fontWeight="800">
          {c.name}
        </Box>
        <Box color="muted" flex="1" minW="200px">
          {c.kind === 'plant' ? 'plant' : 'PostgreSQL'}, {c.fixed ? 'from the configuration of the program' : c.where}
        </Box>
        <State connection={c} />
      </Flex>
      <Flex gap="8px" align="center" wrap="wrap" mt="8px">
        <Box fontSize="note" color="muted" flex="1" minW="200px">
          {c.uses.length > 0 ? `Used by ${c.uses.join(', ')}.` : 'No application is over it yet.'}
        </Box>
        {c.kind === 'postgresql' && (
          <Action asChild>
            <Link to={`/new?over=${encodeURIComponent(c.name)}`}>New application over it</Link>
          </Action>
        )}
        {c.kind === 'plant' && (
          <Action aria-label={`${looks ? 'Close' : 'Browse'} ${c.name}`} onClick={() => setLooks(!looks)}>
            {looks ? 'Close' : 'Browse'}
          </Action>
        )}
        {!c.fixed && (
          <>
            <Action aria-label={`Try ${c.name}`} onClick={() => attempt.mutate()} disabled={attempt.isPending}>
              {attempt.isPending ? 'Trying …' : 'Try it'}
            </Action>
            <Action aria-label={`Change ${c.name}`} onClick={onChange}>
              Change
            </Action>
            <Action
              tone="bad"
              aria-label={`Remove ${c.name}`}
              onClick={() => remove.mutate()}
              disabled={remove.isPending}
            >
              Remove
            </Action>
          </>
        )}
      </Flex>
      <Told words={wordsOf(attempt.error) ?? wordsOf(remove.error)} />
      {attempt.data && <TriedWords tried={attempt.data} name={c.name} onDone={attempt.mutate} />}
      {looks && (
        <Box mt="10px" maxW="760px">
          <PlantTree
            connection={c.name}
            ask={(query) => ask(api.GET('/api/connections/{connection}/nodes', { params: { ...params, query } }))}
          />
        </Box>
      )}
    </Box>
  );
}

function State({ connection: c }: { connection: ConnectionInfo }) {
  if (c.sealed) return <Mark bad>its password is sealed with another key: write it again</Mark>;
  if (!c.good) return <Mark bad>{c.away ?? 'does not answer'}</Mark>;
  if (c.onlyRead) return <Mark color="ink">only read: there is no table for presses</Mark>;
  return <Mark>reached</Mark>;
}

function Mark({ bad, color = 'pine', children }: { bad?: boolean; color?: string; children: React.ReactNode }) {
  return (
    <Box fontSize="note" fontWeight="700" color={bad ? 'brick' : color}>
      {children}
    </Box>
  );
}
