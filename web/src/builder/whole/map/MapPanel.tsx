import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { api, ask, type MapPlate, type MapWire, type ScreenMap } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { useWhole } from '../context';
import { PathSteps } from '../PathSteps';
import { WireSentences } from './WireSentences';

interface PanelProps {
  map: ScreenMap;
  who: string; // "*" for all roles
  as: string; // whom one walks as
  chosen: string[];
  wire: MapWire | undefined;
  onWire: (w: MapWire | undefined) => void;
  onChoose: (plates: string[]) => void;
}

/** Below the map: the chosen plate with its ways, a wire with its sentences, or every path between two plates. */
export function MapPanel(props: PanelProps) {
  const { map, chosen, wire } = props;
  const [one, two] = chosen.map((id) => map.plates.find((p) => p.id === id));
  return (
    <Box
      as="section"
      aria-label="What is chosen"
      h={wire || one ? '236px' : '74px'}
      flexShrink={0}
      overflowY="auto"
      bg="plate"
      borderTopWidth="1px"
      borderColor="rule"
      px="22px"
      py="12px"
    >
      {wire ? (
        <OfWire {...props} wire={wire} />
      ) : one && two ? (
        <OfTwo {...props} one={one} two={two} />
      ) : one ? (
        <OfPlate {...props} plate={one} />
      ) : (
        <Hint />
      )}
    </Box>
  );
}

function Hint() {
  return (
    <Box color="muted" fontSize="note">
      Choose a plate for its ways in and out, a wire for its sentences, and with Shift a second plate for every path
      between the two. Pull from the point of a plate to another one for a way there; press twice to build it. Arrows go
      along the wires.
    </Box>
  );
}

function Head({ title, note, children }: { title: string; note?: string; children?: React.ReactNode }) {
  return (
    <Flex align="baseline" gap="10px" mb="8px" wrap="wrap">
      <Box as="h2" fontSize="head" fontWeight="800">
        {title}
      </Box>
      <Box fontSize="note" color="muted" flex="1">
        {note}
      </Box>
      {children}
    </Flex>
  );
}

function OfPlate({ map, plate, who, onWire, onChoose }: PanelProps & { plate: MapPlate }) {
  const { openScreen, openReach } = useWhole();
  const title = (id: string) => map.plates.find((p) => p.id === id)?.title ?? '';
  const into = map.wires.filter((w) => w.to === plate.id);
  const out = map.wires.filter((w) => w.from === plate.id);
  const list = (label: string, wires: MapWire[], other: (w: MapWire) => string) => (
    <Box flex="1" minW={0}>
      <Box as="h3" fontSize="note" fontWeight="700" color="muted" mb="2px">
        {label}{' '}
        <Box as="span" fontWeight="500">
          {wires.reduce((n, w) => n + w.n, 0)}
        </Box>
      </Box>
      {wires.length === 0 && <Box fontSize="note">none</Box>}
      {wires.map((w) => (
        <Flex key={w.from + w.to} gap="8px" align="baseline" fontSize="note" py="1px">
          <Box
            as="button"
            fontWeight="700"
            cursor="pointer"
            textAlign="left"
            _hover={{ textDecoration: 'underline' }}
            onClick={() => onWire(w)}
            title="Its ways, as sentences"
          >
            {title(other(w))}
          </Box>
          <Box color="muted" truncate>
            {w.n > 1 ? `${w.n} ways: ` : ''}
            {w.words?.join(', ')}
            {w.week ? ` · ${w.week} times this week` : ''}
            {w.hold === 'never' ? ' · never open' : w.hold === 'maybe' ? ' · under conditions' : ''}
          </Box>
        </Flex>
      ))}
    </Box>
  );
  return (
    <>
      <Head title={plate.title} note={plate.rail ? 'rail' : [plate.type, plate.area].filter(Boolean).join(', ')}>
        {!plate.rail && <Action onClick={() => openScreen(plate.id)}>Build it</Action>}
        {!plate.rail && (
          <Action onClick={() => openReach(plate.id, who === '*' ? undefined : who)}>Who gets there</Action>
        )}
        <Action tone="quiet" onClick={() => onChoose([])}>
          Close
        </Action>
      </Head>
      <Flex gap="28px">
        {!plate.rail && list('Ways in', into, (w) => w.from)}
        {list('Ways out', out, (w) => w.to)}
      </Flex>
    </>
  );
}

function OfWire({ map, wire, who, as, onWire }: PanelProps & { wire: MapWire }) {
  const title = (id: string) => map.plates.find((p) => p.id === id)?.title ?? '';
  return (
    <>
      <Head title={`${title(wire.from)} → ${title(wire.to)}`} note={`${wire.n} ${wire.n === 1 ? 'way' : 'ways'}`}>
        <Action tone="quiet" onClick={() => onWire(undefined)}>
          Close
        </Action>
      </Head>
      <WireSentences key={wire.from + wire.to} wire={wire} who={who} as={as} />
    </>
  );
}

function OfTwo({ one, two, who, map, onChoose }: PanelProps & { one: MapPlate; two: MapPlate }) {
  const { project, draft, walked } = useWhole();
  const key = who === '*' ? walked : who;
  const paths = useQuery({
    queryKey: ['between', project, draft.seq, one.id, two.id, key],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/reach/between', {
          params: { path: { project }, query: { from: one.id, to: two.id, who: key } },
        }),
      ),
    enabled: !one.rail && !two.rail,
  });
  const n = paths.data?.paths.length ?? 0;
  const note = paths.data
    ? `${n}${paths.data.more ? ' and more' : ''} ${n === 1 ? 'path' : 'paths'}, the shortest first`
    : 'looking …';
  return (
    <>
      <Head title={`From ${one.title} to ${two.title}`} note={one.rail || two.rail ? undefined : note}>
        <Action onClick={() => onChoose([two.id, one.id])}>The other way round</Action>
        <Action tone="quiet" onClick={() => onChoose([])}>
          Close
        </Action>
      </Head>
      {(one.rail || two.rail) && <Box>A rail is no place. Choose two screens.</Box>}
      {paths.data && n === 0 && (
        <Box>No way leads there in 8 presses or fewer, from {map.plates.find((p) => p.id === one.id)?.title}.</Box>
      )}
      <Flex gap="22px" overflowX="auto" align="flex-start">
        {paths.data?.paths.map((steps, i) => (
          <Box
            key={steps.map((s) => `${s.on}.${s.element}.${s.screen}`).join('>')}
            minW="250px"
            maxW="300px"
            borderLeftWidth="2px"
            borderColor="rule"
            pl="12px"
          >
            <PathSteps label={`Path ${i + 1}`} steps={steps} />
          </Box>
        ))}
      </Flex>
    </>
  );
}
