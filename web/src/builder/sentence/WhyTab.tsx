import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { api, ask, type Explanation, type Judged, type Part, Refused, type WayOut } from '../../api/client';
import { Plate } from '../../ui/Plate';
import { useBuild } from '../context';

/**
 * Why a way is open, greyed, hidden or shut for the walked user on this record: all that was
 * judged, in order; where it leads; what would have to change; and who would see it.
 */
export function WhyTab({ way }: { way: WayOut }) {
  const { project, work, as, journal, draft } = useBuild();
  const place = work.view?.place ?? { screen: work.screen ?? '', mode: 'view', inputs: {} };
  const why = useQuery({
    queryKey: ['why', project, draft.seq, as, journal, place, way.element, way.trigger],
    queryFn: () =>
      ask(
        api.POST('/api/build/{project}/why', {
          params: { path: { project } },
          body: { as, journal, place, element: way.element, trigger: way.trigger },
        }),
      ),
  });
  if (why.isError) {
    return (
      <Box color="brick">{why.error instanceof Refused ? why.error.problem.what : 'It cannot be explained now.'}</Box>
    );
  }
  if (!why.data) return <Box color="muted">Working it out …</Box>;
  return (
    <Flex gap="30px" fontSize="note" align="flex-start">
      <Box flex="1.25" minW={0}>
        <Head>Judged for {work.user}, in this order</Head>
        {why.data.judged.map((j) => (
          <JudgedLine key={j.what + j.words} judged={j} />
        ))}
        <Turns of={why.data} />
      </Box>
      <Box flex="1" minW={0}>
        <LeadsTo of={why.data} />
        <Head>Each role alone</Head>
        <SeenBy of={why.data} />
        <Box color="muted" mt="8px">
          The screen can be entered by <b>{work.entered}</b>. Ways protect what they do; screens are protected by guards
          and grants.
        </Box>
      </Box>
    </Flex>
  );
}

function Head({ children }: { children: React.ReactNode }) {
  return (
    <Box color="muted" fontWeight="700" mb="3px">
      {children}
    </Box>
  );
}

const marks: Record<string, [mark: string, words: string, color: string]> = {
  passes: ['✓', 'passes', 'pine'],
  yes: ['✓', 'holds', 'pine'],
  refuses: ['✕', 'refuses', 'brick'],
  no: ['✕', 'does not hold', 'brick'],
  unknown: ['?', 'not known', 'amberText'],
};

const kinds: Record<string, string> = {
  grant: 'grant',
  'row-rule': 'row rule',
  record: 'record',
  guard: 'guard',
  shown: 'shown while',
  roles: 'for whom',
  while: 'while',
  case: 'case',
  target: 'target',
};

function Mark({ state }: { state: string }) {
  const [mark, words, color] = marks[state] ?? ['', '', 'muted'];
  return (
    <Box as="span" role="img" aria-label={words} color={color} fontWeight="800" w="16px" flexShrink={0}>
      {mark}
    </Box>
  );
}

function JudgedLine({ judged }: { judged: Judged }) {
  return (
    <Box py="1px">
      <Flex gap="8px" align="baseline">
        <Mark state={judged.state} />
        <Box w="84px" flexShrink={0} color="muted">
          {kinds[judged.what] ?? judged.what}
        </Box>
        <Box>{judged.words}</Box>
      </Flex>
      {judged.part && <PartLine part={judged.part} depth={0} />}
    </Box>
  );
}

function PartLine({ part, depth }: { part: Part; depth: number }) {
  return (
    <>
      <Flex gap="8px" pl={`${108 + depth * 18}px`} align="baseline">
        <Mark state={part.state} />
        <Box borderBottomWidth={part.decides ? '2px' : '0'} borderColor="amber">
          {part.words}
        </Box>
        {part.value !== undefined && (
          <Box color="plum" whiteSpace="nowrap">
            now {part.value === '' ? 'empty' : part.value}
          </Box>
        )}
        {part.why && <Box color="muted">{part.why}</Box>}
      </Flex>
      {part.parts?.map((p, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: parts have no other identity than their order
        <PartLine key={i} part={p} depth={depth + 1} />
      ))}
    </>
  );
}

/** The fewest parts that would have to change for the way to be open. */
function Turns({ of }: { of: Explanation }) {
  if (of.state === 'open') return null;
  return (
    <Box mt="8px">
      <Head>For it to be open, this would do</Head>
      {(of.turns ?? []).map((t) => (
        <Flex key={t.words} gap="8px" align="baseline">
          <Box color="amberText" fontWeight="800" w="16px" aria-hidden="true">
            →
          </Box>
          <Box fontWeight="700">{t.words}</Box>
          {t.value && <Box color="plum">now {t.value}</Box>}
        </Flex>
      ))}
      {(of.turns ?? []).length === 0 && <Box>{of.reason ?? 'Nothing here would.'}</Box>}
    </Box>
  );
}

function LeadsTo({ of }: { of: Explanation }) {
  const to = of.leads;
  if (!to) return null;
  return (
    <Box mb="10px">
      <Head>{of.state === 'open' ? 'Leads to' : 'Would lead to'}</Head>
      <Box maxW="330px" mb="4px">
        <Plate
          title={to.title}
          note={[to.mode, to.as && to.as !== 'full' ? to.as : ''].filter(Boolean).join(', ')}
          tone={to.opens ? 'plain' : 'broken'}
        />
      </Box>
      {to.inputs.map((i) => (
        <Flex key={i.label} gap="8px">
          <Box color="muted">{i.label.toLowerCase()}</Box>
          <Box color="plum" fontWeight="700">
            {i.words}
          </Box>
          <Box color="muted">{i.from}</Box>
        </Flex>
      ))}
      {to.judged
        .filter((j) => j.state !== 'passes' || j.part)
        .map((j) => (
          <JudgedLine key={j.what + j.words} judged={j} />
        ))}
    </Box>
  );
}

const seen: Record<string, [mark: string, color: string]> = {
  open: ['✓', 'pine'],
  greyed: ['–', 'amberText'],
  hidden: ['✕', 'brick'],
  refused: ['✕', 'brick'],
  shut: ['✕', 'brick'],
};

const seenWords: Record<string, string> = {
  open: 'open',
  greyed: 'greyed',
  hidden: 'hidden',
  refused: 'refused there',
  shut: 'not on this screen',
};

function SeenBy({ of }: { of: Explanation }) {
  return (
    <Flex wrap="wrap" gap="3px 14px" as="ul" listStyleType="none">
      {of.roles.map((r) => {
        const [mark, color] = seen[r.state] ?? ['', 'muted'];
        return (
          <Box as="li" key={r.role} title={r.reason} whiteSpace="nowrap">
            <Box as="span" color={color} fontWeight="800" aria-hidden="true">
              {mark}
            </Box>{' '}
            <b>{r.name}</b> {seenWords[r.state] ?? r.state}
          </Box>
        );
      })}
    </Flex>
  );
}
