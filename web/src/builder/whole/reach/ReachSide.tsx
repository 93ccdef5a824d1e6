import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { api, ask, type Expected, type ReachPath, type ReachTable, Refused } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { useWhole } from '../context';
import { PathSteps } from '../PathSteps';
import { sayCell } from './cells';
import { ExpectForm } from './ExpectForm';

/** The chosen cell: the shortest path there, the way back, what is expected of it. */
export function ReachSide({ table, screen, who }: { table: ReachTable; screen?: string; who?: string }) {
  const { project, draft } = useWhole();
  const name = table.who.find((w) => w.key === who)?.name;
  const path = useQuery({
    queryKey: ['reach-path', project, draft.seq, screen, who],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/reach/path', {
          params: { path: { project }, query: { screen: screen ?? '', who: who ?? '' } },
        }),
      ),
    enabled: !!screen && !!who,
    placeholderData: (old) => (old?.screen === screen ? old : undefined),
  });
  return (
    <Box
      as="section"
      aria-label="The chosen cell"
      w="372px"
      flexShrink={0}
      borderLeftWidth="1px"
      borderColor="rule"
      bg="plate"
      overflowY="auto"
      p="16px 18px"
    >
      {path.error instanceof Refused ? (
        <Box color="brick">{path.error.problem.what}</Box>
      ) : path.data && who && name ? (
        <Told path={path.data} table={table} who={who} name={name} />
      ) : (
        <Legend broken={table.expected.filter((e) => e.kept !== 'kept')} />
      )}
    </Box>
  );
}

function Told({ path, table, who, name }: { path: ReachPath; table: ReachTable; who: string; name: string }) {
  const { openScreen, openMap } = useWhole();
  const led = path.steps.length > 0 || path.cell.kind === 'start';
  return (
    <>
      <Box fontSize="12px" fontWeight="700" color="muted" textTransform="uppercase" letterSpacing="0.04em">
        For {name}
      </Box>
      <Box as="h2" fontSize="head" fontWeight="800">
        {path.title}
      </Box>
      <Box mb="8px">{capital(sayCell(path.cell))}.</Box>
      {path.about.map((e) => (
        <ExpectedNote key={e.id} expected={e} />
      ))}
      {path.steps.length > 0 && (
        <Part title="The shortest way there">
          <PathSteps label="The shortest way there" start={path.start} steps={path.steps} />
        </Part>
      )}
      {!led && (
        <Part title="Why no way leads there">
          {path.shut && <Box mb="4px">{path.shut}</Box>}
          {path.others.length > 0 ? (
            <Box as="ul" pl="16px" fontSize="note">
              {path.others.map((o) => (
                <li key={o}>{o}</li>
              ))}
            </Box>
          ) : (
            <Box fontSize="note">Nothing leads there, for anybody.</Box>
          )}
        </Part>
      )}
      {led && path.cell.kind !== 'start' && (
        <Part title="The way back to the start">
          {path.returns ? (
            <PathSteps label="The way back" steps={path.back} />
          ) : (
            <Box color="brick" fontWeight="600">
              None is proven: whoever gets there may be caught.
            </Box>
          )}
        </Part>
      )}
      <Part title="Expect something of it">
        <ExpectForm screen={path.screen} table={table} who={who} />
      </Part>
      <Flex gap="8px" mt="16px" wrap="wrap">
        <Action onClick={() => openScreen(path.screen)}>Open the screen</Action>
        <Action onClick={() => openMap(path.screen)}>Show on the map</Action>
      </Flex>
    </>
  );
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box mt="14px">
      <Box as="h3" fontSize="note" fontWeight="700" color="muted" mb="4px">
        {title}
      </Box>
      {children}
    </Box>
  );
}

/** One expectation: kept or broken, why, and the path that breaks it. */
export function ExpectedNote({ expected: e }: { expected: Expected }) {
  const { edit } = useWhole();
  const [mark, color] = {
    kept: ['✓ Kept:', 'pine'],
    broken: ['✕ Broken:', 'brick'],
    perhaps: ['? Not proven:', 'amberText'],
  }[e.kept] as [string, string];
  return (
    <Box borderLeftWidth="3px" borderColor={color} pl="10px" py="3px" my="6px" role="note">
      <Flex gap="8px" align="baseline">
        <Box flex="1">
          <Box as="span" color={color} fontWeight="700">
            {mark}
          </Box>{' '}
          {e.words}.
        </Box>
        <Action
          tone="quiet"
          minH="24px"
          aria-label={`Forget that ${e.words}`}
          onClick={() => void edit([{ op: 'remove', path: `/${e.id}` }])}
        >
          forget
        </Action>
      </Flex>
      {e.kept !== 'kept' && <Box fontSize="note">{e.why}</Box>}
      {e.steps.length > 0 && e.kept !== 'kept' && <PathSteps label="The path that breaks it" steps={e.steps} />}
    </Box>
  );
}

const marks: [string, string, string][] = [
  ['2', 'pine', 'surely, in two presses'],
  ['2 if there', 'pine', 'surely, given something that has to be there: a row, a parent'],
  ['2 maybe', 'amberText', 'it depends on conditions; the path says on which'],
  ['by itself', 'amberText', 'a call-up, a round or a time brings them'],
  ['address only', 'muted', 'no way leads there, and nothing proves it shut'],
  ['never', 'muted', 'no way, and shut by address too'],
  ['2 trap', 'brick', 'it is not proven that one gets back to the start'],
];

function Legend({ broken }: { broken: Expected[] }) {
  return (
    <>
      {broken.length > 0 && (
        <Box mb="18px">
          <Box as="h2" fontSize="head" fontWeight="800" mb="4px">
            Not as expected
          </Box>
          {broken.map((e) => (
            <ExpectedNote key={e.id} expected={e} />
          ))}
        </Box>
      )}
      <Box as="h2" fontSize="head" fontWeight="800" mb="4px">
        How to read it
      </Box>
      <Box color="muted" mb="8px" fontSize="note">
        Choose a cell for its path, the way back, and to say what is expected of it.
      </Box>
      <Box as="dl">
        {marks.map(([mark, color, words]) => (
          <Flex key={mark} gap="10px" py="4px" align="baseline">
            <Box as="dt" color={color} fontWeight="700" fontSize="note" w="92px" flexShrink={0}>
              {mark}
            </Box>
            <Box as="dd" fontSize="note">
              {words}
            </Box>
          </Flex>
        ))}
      </Box>
    </>
  );
}
