import { Box, Flex, Heading } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, type Me, type MyRights, Refused } from '../api/client';
import { Action, Line } from '../ui/controls';
import { Glyph } from '../ui/Glyph';
import { Message, Waiting } from '../ui/Message';
import { SignIn, SignOut } from './StartPage';

/** The user's own page: who am I, what may I, my password, my sessions. */
export function MyPage() {
  const me = useQuery({ queryKey: ['me', 'page'], queryFn: () => ask(api.GET('/api/me')), staleTime: 0 });
  if (me.isPending) return <Waiting what="Looking who is there …" />;
  if (!me.data) {
    if (me.error instanceof Refused && me.error.status !== 401) return <Message problem={me.error.problem} />;
    return <SignIn onDone={() => void me.refetch()} />;
  }
  return <Page me={me.data} />;
}

function Page({ me }: { me: Me }) {
  const used = me.projects.filter((p) => p.uses && p.released);
  return (
    <Box maxW="1000px" mx="auto" px="24px" py="28px">
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
          {used.length === 0 && <Box color="muted">No application is open to you yet. Ask who runs this.</Box>}
          {used.map((p) => (
            <Rights key={p.id} slug={p.slug} title={p.title} />
          ))}
        </Box>
        <Box flex="1" minW="280px" w="full">
          <Password />
          <Sessions me={me} />
        </Box>
      </Flex>
    </Box>
  );
}

function Head({ children }: { children: ReactNode }) {
  return (
    <Heading as="h2" fontSize="head" fontWeight="800" mb="8px">
      {children}
    </Heading>
  );
}

/** What one may do in one application. */
function Rights({ slug, title }: { slug: string; title: string }) {
  const rights = useQuery({
    queryKey: ['my-rights', slug],
    queryFn: () => ask(api.GET('/api/use/{project}/rights', { params: { path: { project: slug } } })),
  });
  return (
    <Box as="section" aria-label={title} mb="26px">
      <Head>{title}</Head>
      {rights.isPending && <Box color="muted">Looking what you may do …</Box>}
      {rights.error instanceof Refused && <Box color="brick">{rights.error.problem.what}</Box>}
      {rights.data && <Told rights={rights.data} slug={slug} />}
    </Box>
  );
}

function Told({ rights, slug }: { rights: MyRights; slug: string }) {
  return (
    <>
      <Box mb="10px">
        You are <b>{rights.roles.join(', ')}</b>
        {rights.start && (
          <>
            {' '}
            and start at <b>{rights.start}</b>
          </>
        )}
        .
      </Box>
      <Box as="ul" listStyleType="none" mb="16px">
        {rights.tables.map((t) => (
          <Box as="li" key={t.table} py="4px" borderBottomWidth="1px" borderColor="rule">
            <b>{t.label}</b>: you may {words(t.verbs)} {t.rows ? `those where ${t.rows}` : 'all of them'}
            {t.changes && <>; change only those where {t.changes}</>}
            {t.hidden && t.hidden.length > 0 && <>; you do not see {words(t.hidden).toLowerCase()}</>}.
          </Box>
        ))}
      </Box>
      <Box color="muted" fontSize="note" mb="6px">
        Screens that are open to you
      </Box>
      <Flex as="ul" listStyleType="none" wrap="wrap" gap="6px 18px">
        {rights.screens.map((s) => (
          <Flex as="li" key={s.title} align="center" gap="6px">
            <Glyph name={s.type} size={15} />
            {s.address ? (
              <Box asChild fontWeight="600" textDecoration="underline">
                <Link to={`/use/${slug}/${s.address.replace(/^\//, '')}`}>{s.title}</Link>
              </Box>
            ) : (
              s.title
            )}
            {s.while && (
              <Box as="span" color="muted" fontSize="note">
                while {s.while}
              </Box>
            )}
          </Flex>
        ))}
      </Flex>
    </>
  );
}

function words(list: string[]): string {
  if (list.length < 2) return list.join('');
  return `${list.slice(0, -1).join(', ')} and ${list[list.length - 1]}`;
}

function Password() {
  const [old, setOld] = useState('');
  const [fresh, setFresh] = useState('');
  const [again, setAgain] = useState('');
  const change = useMutation({
    mutationFn: () => ask(api.POST('/api/me/password', { body: { old, new: fresh } })),
    onSuccess: () => {
      setOld('');
      setFresh('');
      setAgain('');
    },
  });
  const problem = change.error instanceof Refused ? change.error.problem : undefined;
  const differ = again !== '' && again !== fresh;
  return (
    <Box
      as="form"
      mb="28px"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        change.mutate();
      }}
    >
      <Head>Change your password</Head>
      <Secret label="The one you have now" auto="current-password" value={old} onChange={setOld} />
      <Secret label="The new one: 8 characters or more" auto="new-password" value={fresh} onChange={setFresh} />
      <Secret label="The new one again" auto="new-password" value={again} onChange={setAgain} wrong={differ} />
      {differ && (
        <Box color="brick" fontSize="note" mb="8px" role="alert">
          The two are not the same.
        </Box>
      )}
      {problem && (
        <Box color="brick" fontWeight="600" mb="8px" role="alert">
          {problem.what} {problem.then}
        </Box>
      )}
      <Action type="submit" tone="main" disabled={!old || fresh.length < 8 || again !== fresh || change.isPending}>
        Change it
      </Action>
      {change.isSuccess && (
        <Box color="pine" fontWeight="700" mt="8px" role="status">
          Changed. All other sessions of yours have ended.
        </Box>
      )}
    </Box>
  );
}

function Secret(p: { label: string; auto: string; value: string; wrong?: boolean; onChange: (v: string) => void }) {
  return (
    <Box as="label" display="block" mb="10px">
      <Box fontSize="note" color="muted" mb="3px">
        {p.label}
      </Box>
      <Line
        type="password"
        autoComplete={p.auto}
        aria-invalid={p.wrong || undefined}
        value={p.value}
        onChange={(e) => p.onChange(e.target.value)}
      />
    </Box>
  );
}

function Sessions({ me }: { me: Me }) {
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
        {me.sessions === 1 ? 'Only here.' : `In ${me.sessions} places, this one among them.`} A session ends by itself
        after twelve hours.
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
