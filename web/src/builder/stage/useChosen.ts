import { useCallback, useMemo, useState } from 'react';
import type { WayOut } from '../../api/client';

/** Which element is chosen, which of its ways is told, and which picker of that is open. */
export function useChosen(all: WayOut[], first: string | undefined) {
  const [chosen, setChosen] = useState(first);
  const [trigger, setTrigger] = useState<string>();
  const [openPicker, setPicker] = useState<string>();
  const choose = useCallback((id: string | undefined, by?: string) => {
    setChosen(id);
    setTrigger(by);
    setPicker(undefined);
  }, []);
  const ways = useMemo(() => all.filter((w) => w.element === chosen), [all, chosen]);
  const way = ways.find((w) => w.trigger === trigger) ?? ways[0];
  return { chosen, way, ways, choose, openPicker, setPicker };
}
