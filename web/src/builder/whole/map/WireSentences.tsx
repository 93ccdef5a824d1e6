import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, ask, type MapWire, type WireWay } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { type BuildHands, BuildProvider } from '../../context';
import { Sentence } from '../../sentence/Sentence';
import { useChosen } from '../../stage/useChosen';
import { useScreenAtWork } from '../../useScreenAtWork';
import { useWhole } from '../context';

const none: Record<string, string> = {};
const nothing = () => undefined;

/** The ways of a wire as sentences, whose parts are changed right here. */
export function WireSentences({ wire, who, as }: { wire: MapWire; who: string; as: string }) {
  const { project, draft } = useWhole();
  const ways = useQuery({
    queryKey: ['wire', project, draft.seq, wire.from, wire.to, who],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/map/ways', {
          params: { path: { project }, query: { from: wire.from, to: wire.to, who: who === '*' ? undefined : who } },
        }),
      ),
    placeholderData: (old) => old,
  });
  const on = ways.data?.[0]?.on ?? '';
  const work = useScreenAtWork({
    project,
    seq: draft.seq,
    screen: on,
    as,
    journal: undefined,
    place: undefined,
    vars: none,
    enabled: on !== '',
  });
  if (!ways.data) return <Box color="muted">Reading its ways …</Box>;
  if (ways.data.length === 0) return <Box>Nothing leads there any more.</Box>;
  return (
    <Box as="ol" listStyleType="none">
      {ways.data.map((w) => (
        <Box as="li" key={`${w.on}.${w.element}.${w.trigger}`} borderTopWidth="1px" borderColor="rule" py="7px">
          {work.data && work.data.screen === on ? <Editable way={w} work={work.data} as={as} /> : <Read way={w} />}
        </Box>
      ))}
    </Box>
  );
}

function Editable({
  way,
  work,
  as,
}: {
  way: WireWay;
  work: NonNullable<ReturnType<typeof useScreenAtWork>['data']>;
  as: string;
}) {
  const { project, draft, edit, openScreen } = useWhole();
  const chosen = useChosen(work.ways, way.element);
  const build: BuildHands = useMemo(
    () => ({
      project,
      draft,
      entities: draft.entities,
      screen: work.screen,
      work,
      as,
      journal: undefined,
      point: nothing,
      edit,
      open: openScreen,
      cover: nothing,
      ...chosen,
    }),
    [project, draft, work, as, edit, openScreen, chosen],
  );
  const out = work.ways.find((w) => w.element === way.element && w.trigger === way.trigger);
  return (
    <BuildProvider value={build}>
      <Flex gap="14px" align="baseline">
        <Box flex="1" minW={0}>
          {out ? <Sentence way={out} /> : <Read way={way} />}
        </Box>
        <Told way={way} />
      </Flex>
    </BuildProvider>
  );
}

function Read({ way }: { way: WireWay }) {
  return <Box fontSize="16px">{way.sentence.map((c) => c.text).join('')}</Box>;
}

/** How far the way is proven to be open, and its place. */
function Told({ way }: { way: WireWay }) {
  const { openScreen } = useWhole();
  const [words, color] = {
    sure: ['always open', 'pine'],
    maybe: [
      way.while?.length ? `open while ${way.while.join(' and ')}` : (way.unsure?.[0] ?? 'not proven'),
      'amberText',
    ],
    never: ['never open for them', 'brick'],
  }[way.hold] as [string, string];
  return (
    <Flex direction="column" align="flex-end" gap="2px" w="230px" flexShrink={0} textAlign="right">
      <Box fontSize="note" color={color} fontWeight="600">
        {words}
      </Box>
      <Box fontSize="note" color="muted">
        {way.week > 0
          ? `${times(way.week)} this week`
          : way.long > 0
            ? `${times(way.long)} in ten weeks`
            : 'never used'}
      </Box>
      <Action tone="quiet" minH="24px" onClick={() => openScreen(way.on, way.element)}>
        where it stands
      </Action>
    </Flex>
  );
}

function times(n: number): string {
  return n === 1 ? 'once' : `${n} times`;
}
