import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, Refused, type ReleaseTold } from '../../../api/client';
import { Action, Select } from '../../../ui/controls';
import { Message, Waiting, WayOn } from '../../../ui/Message';
import { useWhole } from '../context';
import { ChangeLine } from './ChangeLine';
import { byEntity, kindWords, listed, plainlyMade } from './releases';

const many = 60; // entities that are told of at once

interface PaneProps {
  from: number;
  to?: number;
  list: ReleaseTold[];
}

/** What is different between two releases, or a release and the draft: who gets where, then thing by thing. */
export function DifferencesPane({ from, to, list }: PaneProps) {
  const { project, draft, openRelease } = useWhole();
  const [whole, setWhole] = useState(false);
  const found = useQuery({
    queryKey: ['differences', project, from, to, to === undefined ? draft.seq : 0],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/differences', { params: { path: { project }, query: { was: from, now: to } } }),
      ),
  });
  const title = to === undefined ? 'The draft' : `Release ${to}`;
  const all = byEntity(found.data?.changes ?? []);
  const { made, others: entities } = plainlyMade(all);
  return (
    <Flex direction="column" flex="1" minW={0} minH={0} p="14px 22px 0">
      <Flex align="baseline" gap="10px" mb="10px" wrap="wrap">
        <Box as="h2" fontSize="head" fontWeight="800">
          {title}
        </Box>
        <Flex as="label" fontSize="note" color="muted" align="center" gap="6px">
          compared with
          <Select
            fontSize="note"
            minH="28px"
            aria-label="Compared with"
            value={from}
            onChange={(e) => openRelease(`${to ?? ''}~${e.target.value}`)}
          >
            {!list.some((r) => r.number === from) && (
              <option value={from}>{from === 0 ? 'nothing' : `release ${from}`}</option>
            )}
            {list.map((r) => (
              <option key={r.number} value={r.number}>
                release {r.number}
              </option>
            ))}
          </Select>
        </Flex>
      </Flex>
      <Box overflowY="auto" flex="1" minH={0} pb="22px" aria-live="polite">
        {found.error instanceof Refused ? (
          <Message problem={found.error.problem}>
            <WayOn words="Try again" glyph="forward" onPress={() => void found.refetch()} />
          </Message>
        ) : !found.data ? (
          <Waiting what="Comparing …" />
        ) : all.length === 0 ? (
          <Box color="muted">Nothing is different.</Box>
        ) : (
          <>
            <Reached sentences={found.data.reach} />
            <Made made={made} />
            {(whole ? entities : entities.slice(0, many)).map((e) => (
              <Box as="section" key={e.entity} mb="14px" aria-label={`${kindWords(e.kind)} ${e.name}`}>
                <Flex align="baseline" gap="8px" borderBottomWidth="1px" borderColor="rule" pb="3px">
                  <Box fontSize="note" color="muted" minW="72px">
                    {kindWords(e.kind)}
                  </Box>
                  <Box as="h3" fontWeight="800" flex="1" minW={0}>
                    {e.name}
                  </Box>
                  {e.by.length > 0 && (
                    <Box fontSize="note" color="muted">
                      {listed(e.by)}
                    </Box>
                  )}
                </Flex>
                <Box as="ul" listStyleType="none" m={0} p={0}>
                  {e.changes.map((c) => (
                    <ChangeLine key={`${c.at} ${c.what ?? ''} ${c.paths[0] ?? ''}`} change={c} />
                  ))}
                </Box>
              </Box>
            ))}
            {!whole && entities.length > many && (
              <Action onClick={() => setWhole(true)}>Show the other {entities.length - many}</Action>
            )}
          </>
        )}
      </Box>
    </Flex>
  );
}

/** What is new, and nothing else is to be said of. */
function Made({ made }: { made: [kind: string, names: string[]][] }) {
  if (made.length === 0) return null;
  return (
    <Box as="section" aria-label="New" mb="14px">
      <Box as="h3" fontWeight="800" borderBottomWidth="1px" borderColor="rule" pb="3px">
        New
      </Box>
      {made.map(([kind, names]) => (
        <Flex key={kind} gap="8px" py="4px">
          <Box fontSize="note" color="muted" minW="112px">
            {kindWords(kind)}
          </Box>
          <Box flex="1" minW={0}>
            {names.join(' · ')}
          </Box>
        </Flex>
      ))}
    </Box>
  );
}

/** What is different in who gets where. */
function Reached({ sentences }: { sentences: string[] }) {
  const [whole, setWhole] = useState(false);
  if (sentences.length === 0) return null;
  const few = 6;
  return (
    <Box as="section" aria-label="Who gets where" bg="amberSoft" borderRadius="4px" p="8px 12px" mb="14px">
      <Box as="h3" fontWeight="800" mb="2px">
        Who gets where
      </Box>
      <Box as="ul" listStyleType="none" m={0} p={0}>
        {(whole ? sentences : sentences.slice(0, few)).map((s) => (
          <Box as="li" key={s} py="1px">
            {s}
          </Box>
        ))}
      </Box>
      {!whole && sentences.length > few && (
        <Action tone="quiet" ml="-8px" minH="26px" onClick={() => setWhole(true)}>
          and {sentences.length - few} more
        </Action>
      )}
    </Box>
  );
}
