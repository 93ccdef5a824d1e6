import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, type MyRights, Refused } from '../../api/client';
import { Glyph } from '../../ui/Glyph';
import { Head } from './Head';

/** What one may do in one application. */
export function Rights({ slug, title }: { slug: string; title: string }) {
  const rights = useQuery({
    queryKey: ['my-rights', slug],
    queryFn: () => ask(api.GET('/api/use/{project}/rights', { params: { path: { project: slug } } })),
  });
  return (
    <Box as="section" aria-label={title} mb="26px">
      <Head>{title}</Head>
      {rights.isPending && <Box color="muted">Loading …</Box>}
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
            <b>{t.label}</b>: {mayWords(t)}
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

function words(list: string[], last = 'and'): string {
  if (list.length < 2) return list.join('');
  return `${list.slice(0, -1).join(', ')} ${last} ${list[list.length - 1]}`;
}

/** What one may do with a table: “you may view all; add or edit only those where …”. */
function mayWords(t: MyRights['tables'][number]): string {
  const those = (where: string | undefined) => (where ? `those where ${where}` : 'all');
  const changing = t.verbs.filter((v) => v !== 'view');
  if (!t.changes || changing.length === 0) return `you may ${words(t.verbs)} ${those(t.rows)}`;
  return `you may view ${those(t.rows)}; ${words(changing, 'or')} only those where ${t.changes}`;
}
