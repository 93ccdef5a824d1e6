import { Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { api, ask, type MapPlate, type MapWire, Refused } from '../../../api/client';
import { saveText } from '../../../ui/files/saveFile';
import { Message, Waiting, WayOn } from '../../../ui/Message';
import { useWhole } from '../context';
import { everything, findingsByPlate, isEverything, wants } from './filter';
import { MapHead } from './MapHead';
import { MapPanel } from './MapPanel';
import { MapStage } from './MapStage';
import { usePulledWay } from './usePulledWay';
import { centred, seeing, seeingBoth, type View, wholeView, zoomed } from './view';

/** All screens at one look: plates in columns by presses, what leads from one to another, and every path between two. */
export function MapPage({ item, as }: { item: string | undefined; as: string }) {
  const { project, draft, walked, openScreen } = useWhole();
  const [who, setWho] = useState(walked || '*');
  const [wanted, setWanted] = useState(everything);
  const [chosen, setChosen] = useState<string[]>(item ? [item] : []);
  const [wire, setWire] = useState<MapWire>();
  const view = useRef<{ set: (of: (v: View, width: number, height: number) => View) => void }>(null);
  const people = useQuery({
    queryKey: ['reach', project, draft.seq, undefined],
    queryFn: () => ask(api.GET('/api/build/{project}/reach', { params: { path: { project } } })),
    placeholderData: (old) => old,
  });
  const map = useQuery({
    queryKey: ['map', project, draft.seq, who],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/map', {
          params: { path: { project }, query: { who: who === '*' ? undefined : who } },
        }),
      ),
    placeholderData: (old) => old,
  });
  const findings = useMemo(() => findingsByPlate(draft), [draft]);
  const changed = useMemo(
    () => new Set(Object.entries(draft.versions).flatMap(([id, v]) => (v > draft.since ? [id] : []))),
    [draft],
  );
  const onPull = usePulledWay();
  const data = map.data;
  const used = useMemo(() => new Set(data?.wires.flatMap((w) => (w.long ? [w.from, w.to] : []))), [data]);
  const dims = useCallback(
    (p: MapPlate) => !wants(wanted, p, { found: findings, changed, used }),
    [wanted, findings, changed, used],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when one came for a screen
  useEffect(() => {
    const plate = data?.plates.find((p) => p.id === item);
    if (plate && data) view.current?.set((v, w, h) => seeing(v, plate, data, w, h));
  }, [item, !!data]);
  if (map.error instanceof Refused) {
    return (
      <Message problem={map.error.problem}>
        <WayOn words="Try again" glyph="forward" onPress={() => void map.refetch()} />
      </Message>
    );
  }
  if (!data) return <Waiting what="Drawing the map …" />;
  const choose = (plates: string[]) => {
    setWire(undefined);
    setChosen(plates);
  };
  const chooseWire = (w: MapWire | undefined) => {
    setChosen([]);
    setWire(w);
    const [a, b] = [w?.from, w?.to].map((id) => data.plates.find((p) => p.id === id));
    // Once the panel below has the height that the sentences take.
    if (a && b)
      requestAnimationFrame(() => view.current?.set((v, wide, high) => seeingBoth(v, a, b, data, wide, high)));
  };
  const now = wire && data.wires.find((w) => w.from === wire.from && w.to === wire.to);
  const file = async (format: 'svg' | 'scxml') => {
    const query = who === '*' ? '' : `?who=${encodeURIComponent(who)}`;
    const answer = await fetch(`/api/build/${project}/map.${format}${query}`);
    if (answer.ok) saveText(`${draft.slug}.${format}`, answer.headers.get('Content-Type') ?? '', await answer.text());
  };
  return (
    <Flex as="main" direction="column" flex="1" minH={0} minW={0}>
      <MapHead
        map={data}
        who={people.data?.who ?? []}
        as={who}
        onWho={(key) => {
          setWho(key);
          choose([]);
        }}
        wanted={wanted}
        onWanted={setWanted}
        onFound={() => {
          const hit = data.plates.find((p) => !dims(p));
          if (!hit) return;
          choose([hit.id]);
          // Once the panel below has its height.
          requestAnimationFrame(() => view.current?.set((v, w, h) => centred(v, hit, data, w, h)));
        }}
        onZoom={(by) => view.current?.set((v, w, h) => zoomed(v, by, w / 2, h / 2))}
        onWhole={() => view.current?.set((_, w, h) => wholeView(data, w, h))}
        onFile={(f) => void file(f)}
      />
      <MapStage
        key={who}
        map={data}
        chosen={chosen}
        wire={now}
        dims={dims}
        filtered={!isEverything(wanted)}
        findings={findings}
        viewRef={view}
        onChoose={choose}
        onWire={chooseWire}
        onOpen={openScreen}
        onPull={(from, to) => void onPull(from, to)}
      />
      <MapPanel map={data} who={who} as={as} chosen={chosen} wire={now} onWire={chooseWire} onChoose={choose} />
    </Flex>
  );
}
