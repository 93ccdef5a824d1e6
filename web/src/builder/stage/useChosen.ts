import { useCallback, useMemo, useState } from 'react';
import type { WayOut } from '../../api/client';

const none: string[] = [];

/** Which element is chosen, which of its ways is told, and which picker of that is open. */
export function useChosen(all: WayOut[], first: string | undefined) {
  const [chosen, setChosen] = useState(first);
  const [several, setSeveral] = useState<string[]>(none);
  const [trigger, setTrigger] = useState<string>();
  const [openPicker, setPicker] = useState<string>();
  const choose = useCallback((id: string | undefined, by?: string) => {
    setChosen(id);
    setSeveral(none);
    setTrigger(by);
    setPicker(undefined);
  }, []);
  // One more, or one less; the last one is the one that is told of.
  const chooseAlso = useCallback(
    (id: string) => {
      const was = several.length > 0 ? several : chosen ? [chosen] : none;
      const now = was.includes(id) ? was.filter((x) => x !== id) : [...was, id];
      setSeveral(now.length > 1 ? now : none);
      setChosen(now.at(-1));
      setTrigger(undefined);
      setPicker(undefined);
    },
    [several, chosen],
  );
  const chooseAll = useCallback((ids: string[]) => {
    setChosen(ids.at(-1));
    setSeveral(ids.length > 1 ? ids : none);
    setTrigger(undefined);
    setPicker(undefined);
  }, []);
  const ways = useMemo(() => all.filter((w) => w.element === chosen), [all, chosen]);
  const way = ways.find((w) => w.trigger === trigger) ?? ways[0];
  return useMemo(
    () => ({ chosen, several, way, ways, choose, chooseAlso, chooseAll, openPicker, setPicker }),
    [chosen, several, way, ways, choose, chooseAlso, chooseAll, openPicker],
  );
}
