import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type ApplicationRoles, api, ask, type NewPerson } from '../../api/client';
import { Action } from '../../ui/controls';
import { Frame } from '../../ui/Frame';
import { Tick } from '../../ui/Tick';
import { Asked } from '../Asked';
import { wordsOf, wrongFields } from '../problems';
import { Told } from '../Told';
import { readPeople } from './csv';
import { LinkTold } from './LinkTold';
import { linkOf } from './person';
import { RoleTicks } from './RoleTicks';
import { usePeople } from './usePeople';

/** Adds one person, or many from a list; each gets a link, told once. */
export function AddPeople({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient();
  const page = usePeople();
  const applications = page.data?.applications ?? [];
  const [many, setMany] = useState(false);
  const [one, setOne] = useState<NewPerson>({ name: '', login: '', roles: {} });
  const [text, setText] = useState('');
  const read = many ? readPeople(text, applications, page.data?.people.map((p) => p.login) ?? []) : [];
  const people = many ? read.flatMap((r) => (r.person ? [r.person] : [])) : [one];
  const wrong = read.filter((r) => !r.person).length;
  const add = useMutation({
    mutationFn: () => ask(api.POST('/api/people', { body: { people } })).then((a) => ({ people, tokens: a.tokens })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['people'] }),
  });
  const fields = wrongFields(add.error);
  const ready = many ? people.length > 0 && wrong === 0 : one.name.trim() !== '' && one.login.trim() !== '';
  return (
    <Frame
      title={add.data ? 'They can come in' : 'Add people'}
      told
      stays
      width="640px"
      onClose={onClose}
      foot={
        add.data ? (
          <Action tone="main" onClick={onClose}>
            Close
          </Action>
        ) : (
          <>
            <Action onClick={onClose}>Cancel</Action>
            <Action tone="main" onClick={() => add.mutate()} disabled={!ready || add.isPending}>
              {many ? `Add ${people.length}` : 'Add'}
            </Action>
          </>
        )
      }
    >
      {add.data ? (
        <>
          <Box color="muted" mb="8px">
            Give each their link. It is shown here once; a new one can be made at any time.
          </Box>
          {add.data.people.map((p, i) => (
            <LinkTold key={p.login} name={p.name} link={linkOf(add.data.tokens[i] ?? '')} />
          ))}
        </>
      ) : (
        <>
          <Flex gap="8px" mb="14px" role="group" aria-label="How many">
            <Action aria-pressed={!many} borderColor={many ? 'rule' : 'ink'} onClick={() => setMany(false)}>
              One person
            </Action>
            <Action aria-pressed={many} borderColor={many ? 'ink' : 'rule'} onClick={() => setMany(true)}>
              Many, from a list
            </Action>
          </Flex>
          {many ? (
            <FromList text={text} onText={setText} read={read} />
          ) : (
            <>
              <Asked
                label="Name"
                value={one.name}
                onChange={(name) => setOne({ ...one, name })}
                wrong={fields.name}
                first
              />
              <Asked
                label="Signs in as"
                value={one.login}
                onChange={(login) => setOne({ ...one, login })}
                wrong={fields.login}
                hint="short, without spaces, or an address for mail"
              />
              <Roles applications={applications} person={one} onPerson={setOne} />
            </>
          )}
          <Told words={wordsOf(add.error)} />
        </>
      )}
    </Frame>
  );
}

function Roles({
  applications,
  person,
  onPerson,
}: {
  applications: ApplicationRoles[];
  person: NewPerson;
  onPerson: (p: NewPerson) => void;
}) {
  const turn = (application: string, role: string) => {
    const had = person.roles?.[application] ?? [];
    const roles = had.includes(role) ? had.filter((r) => r !== role) : [...had, role];
    onPerson({ ...person, roles: { ...person.roles, [application]: roles } });
  };
  return (
    <>
      <RoleTicks applications={applications} roles={person.roles ?? {}} onTurn={(a, role) => turn(a.id, role)} />
      <Tick
        words="builds all applications"
        on={person.builds ?? false}
        onTick={() => onPerson({ ...person, builds: !person.builds })}
      />
    </>
  );
}

function FromList({
  text,
  onText,
  read,
}: {
  text: string;
  onText: (t: string) => void;
  read: ReturnType<typeof readPeople>;
}) {
  return (
    <>
      <Box color="muted" mb="6px">
        A line for each: name, what they sign in by, their roles with a slash between. Paste it, or choose a file (CSV).
      </Box>
      <Box
        asChild
        w="full"
        minH="110px"
        p="8px"
        bg="plate"
        borderWidth="1px"
        borderColor="rule"
        borderRadius="4px"
        fontFamily="mono"
        fontSize="note"
      >
        <textarea
          aria-label="List of people"
          value={text}
          placeholder={'name, signs in as, roles\nBo Lund, bo, Editors'}
          onChange={(e) => onText(e.target.value)}
        />
      </Box>
      <Box asChild my="8px" fontSize="note">
        <input
          type="file"
          accept=".csv,text/csv,text/plain"
          aria-label="File with people"
          onChange={(e) => void e.target.files?.[0]?.text().then(onText)}
        />
      </Box>
      <Box as="ul" listStyleType="none" aria-label="As it was read">
        {read.map((r) => (
          <Flex
            as="li"
            key={r.line}
            gap="10px"
            py="3px"
            borderTopWidth="1px"
            borderColor="rule"
            color={r.person ? 'ink' : 'brick'}
          >
            <Box w="30px" color="muted">
              {r.line}
            </Box>
            {r.person && (
              <Box flex="1">
                {r.person.name}, {r.person.login}
              </Box>
            )}
            <Box flex="1" fontWeight={r.person ? undefined : '600'}>
              {r.words}
            </Box>
          </Flex>
        ))}
      </Box>
    </>
  );
}
