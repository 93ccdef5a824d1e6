import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type ApplicationRoles, api, ask, type PersonInfo } from '../../api/client';
import { Action } from '../../ui/controls';
import { Frame } from '../../ui/Frame';
import { Tick } from '../../ui/Tick';
import { Typed } from '../../ui/Typed';
import { wordsOf } from '../problems';
import { Told } from '../Told';
import { LinkTold } from './LinkTold';
import { linkOf, stateOf } from './person';
import { RoleTicks, Ticks } from './RoleTicks';

interface PersonDialogProps {
  person: PersonInfo;
  applications: ApplicationRoles[];
  onClose: () => void;
}

/** One person: roles in each application, rights, links, sessions. What is changed holds at once. */
export function PersonDialog({ person: p, applications, onClose }: PersonDialogProps) {
  const queries = useQueryClient();
  const params = { path: { person: p.id } };
  const onSuccess = () => queries.invalidateQueries({ queryKey: ['people'] });
  const change = useMutation({
    mutationFn: (body: {
      name?: string;
      disabled?: boolean;
      builds?: boolean;
      administers?: boolean;
      walks?: boolean;
    }) => ask(api.PUT('/api/people/{person}', { params, body })),
    onSuccess,
  });
  const roles = useMutation({
    mutationFn: ({ project, ...body }: { project: string; roles: string[]; builds: boolean; administers: boolean }) =>
      ask(api.PUT('/api/people/{person}/roles/{project}', { params: { path: { person: p.id, project } }, body })),
    onSuccess,
  });
  const link = useMutation({ mutationFn: () => ask(api.POST('/api/people/{person}/link', { params })), onSuccess });
  const end = useMutation({
    mutationFn: () => ask(api.DELETE('/api/people/{person}/sessions', { params })),
    onSuccess,
  });
  const turn = (a: ApplicationRoles, what: string) => {
    const had = p.roles[a.id] ?? [];
    const rights = p.rights[a.id] ?? { builds: false, administers: false };
    const isRight = what === 'builds' || what === 'administers';
    const next = had.includes(what) ? had.filter((r) => r !== what) : [...had, what];
    roles.mutate({
      project: a.id,
      roles: isRight ? had : next,
      builds: what === 'builds' ? !rights.builds : rights.builds,
      administers: what === 'administers' ? !rights.administers : rights.administers,
    });
  };
  return (
    <Frame
      title={p.name}
      told
      width="620px"
      onClose={onClose}
      foot={
        <Action tone="main" onClick={onClose}>
          Close
        </Action>
      }
    >
      <Flex gap="10px" align="center" mb="14px" wrap="wrap">
        <Typed label="Name" width="220px" value={p.name} onSave={(name) => change.mutate({ name })} />
        <Box color="muted" flex="1">
          signs in as {p.login}
          {stateOf(p).words && `, ${stateOf(p).words}`}
        </Box>
      </Flex>
      <RoleTicks
        applications={applications}
        roles={p.roles}
        onTurn={turn}
        more={(a) => (
          <>
            <Tick words="builds it" on={p.rights[a.id]?.builds ?? false} onTick={() => turn(a, 'builds')} />
            <Tick
              words="administers it"
              on={p.rights[a.id]?.administers ?? false}
              onTick={() => turn(a, 'administers')}
            />
          </>
        )}
      />
      <Ticks head="Everything">
        <Tick
          words="builds all applications, and makes new ones"
          on={p.builds}
          onTick={() => change.mutate({ builds: !p.builds })}
        />
        <Tick
          words="may walk as real people while building"
          on={p.walks}
          onTick={() => change.mutate({ walks: !p.walks })}
        />
        <Tick
          words="administers this program: people and connections"
          on={p.administers}
          onTick={() => change.mutate({ administers: !p.administers })}
        />
      </Ticks>
      <Flex gap="8px" wrap="wrap">
        <Action onClick={() => link.mutate()} disabled={p.disabled || link.isPending}>
          {p.password ? 'Link for a new password' : 'New link'}
        </Action>
        <Action onClick={() => end.mutate()} disabled={p.sessions === 0 || end.isPending}>
          End all sessions
        </Action>
        <Action tone={p.disabled ? 'plain' : 'bad'} onClick={() => change.mutate({ disabled: !p.disabled })}>
          {p.disabled ? 'Let in again' : 'Keep out'}
        </Action>
      </Flex>
      <Told words={wordsOf(change.error) ?? wordsOf(roles.error) ?? wordsOf(link.error) ?? wordsOf(end.error)} />
      {link.data && <LinkTold name={p.name} link={linkOf(link.data.token)} />}
    </Frame>
  );
}
