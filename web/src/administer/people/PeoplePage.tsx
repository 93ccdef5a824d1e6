import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { PersonInfo } from '../../api/client';
import { Action } from '../../ui/controls';
import { Waiting } from '../../ui/Message';
import { Page, Signed } from '../Page';
import { wordsOf } from '../problems';
import { Told } from '../Told';
import { AddPeople } from './AddPeople';
import { PersonDialog } from './PersonDialog';
import { stateOf } from './person';
import { usePeople } from './usePeople';

/** Everybody who can sign in, what they may, and when they were last here. */
export function PeoplePage() {
  const [adding, setAdding] = useState(false);
  return (
    <Signed needs="administers">
      {(me) => (
        <Page
          me={me}
          title="People"
          action={
            <Action tone="main" onClick={() => setAdding(true)}>
              Add people
            </Action>
          }
        >
          <List />
          {adding && <AddPeople onClose={() => setAdding(false)} />}
        </Page>
      )}
    </Signed>
  );
}

function List() {
  const [open, setOpen] = useState<string>();
  const [find, setFind] = useState('');
  const page = usePeople();
  if (page.isPending) return <Waiting what="Loading the people …" />;
  if (!page.data) return <Told words={wordsOf(page.error)} />;
  const { people, applications } = page.data;
  const words = find.toLowerCase().trim();
  const shown = people.filter((p) => `${p.name} ${p.login}`.toLowerCase().includes(words));
  const chosen = people.find((p) => p.id === open);
  const rolesOf = (p: PersonInfo) =>
    applications
      .map((a) => ({ title: a.title, roles: a.roles.filter((r) => p.roles[a.id]?.includes(r.id)).map((r) => r.name) }))
      .filter((a) => a.roles.length > 0)
      .map((a) => `${a.title}: ${a.roles.join(', ')}`);
  return (
    <>
      {people.length > 12 && (
        <Box asChild mb="12px" w="280px" px="10px" minH="34px" borderWidth="1px" borderColor="rule" borderRadius="4px">
          <input
            type="search"
            aria-label="Find a person"
            placeholder="find a person"
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
        </Box>
      )}
      <Box asChild w="full" borderCollapse="collapse" textAlign="left">
        <table aria-label="People">
          <thead>
            <tr>
              {['Name', 'Signs in as', 'Roles', 'Last here', ''].map((h) => (
                <Box asChild key={h} fontSize="note" color="muted" fontWeight="700" py="6px" pr="14px">
                  <th scope="col">{h || <span className="sr-only">State</span>}</th>
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((p) => (
              <Box asChild key={p.id} borderTopWidth="1px" borderColor="rule" verticalAlign="top">
                <tr>
                  <Box asChild py="9px" pr="14px" fontWeight="700">
                    <td>
                      <Box
                        as="button"
                        cursor="pointer"
                        fontWeight="700"
                        textDecoration="underline"
                        textDecorationColor="rule"
                        color={p.disabled ? 'muted' : 'ink'}
                        onClick={() => setOpen(p.id)}
                      >
                        {p.name}
                      </Box>
                    </td>
                  </Box>
                  <Cell>{p.login}</Cell>
                  <Cell>
                    {rolesOf(p).map((r) => (
                      <div key={r}>{r}</div>
                    ))}
                    {(p.builds || p.administers) && (
                      <div>
                        {[p.builds && 'builds', p.administers && 'administers'].filter(Boolean).join(' and ')}{' '}
                        everything
                      </div>
                    )}
                  </Cell>
                  <Cell>
                    {p.seen
                      ? new Date(p.seen).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
                      : 'never'}
                  </Cell>
                  <Cell>
                    <Flex gap="8px">
                      <State person={p} />
                    </Flex>
                  </Cell>
                </tr>
              </Box>
            ))}
          </tbody>
        </table>
      </Box>
      {shown.length === 0 && (
        <Box color="muted" py="14px">
          Nobody is called like that.
        </Box>
      )}
      {chosen && <PersonDialog person={chosen} applications={applications} onClose={() => setOpen(undefined)} />}
    </>
  );
}

function Cell({ children }: { children: React.ReactNode }) {
  return (
    <Box asChild py="9px" pr="14px">
      <td>{children}</td>
    </Box>
  );
}

function State({ person }: { person: PersonInfo }) {
  const state = stateOf(person);
  return (
    <Box fontSize="note" fontWeight="700" color={state.bad ? 'brick' : 'muted'} whiteSpace="nowrap">
      {state.words}
    </Box>
  );
}
