import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import type { ListView } from '../../api/client';
import { useScreen } from '../context';

const narrowest = 0.3; // of an even share

/** How wide a list's columns are, in shares: as the project says, unless the user made them otherwise. */
export function useWidths(element: string, list: ListView) {
  const { view, work } = useScreen();
  const queries = useQueryClient();
  const key = ['list-views', view.screen, element];
  const views = useQuery({ queryKey: key, queryFn: () => work?.views(element), enabled: !!work && list.main });
  const kept = views.data?.find((v) => v.name === '')?.widths;
  const [dragged, setDragged] = useState<Record<string, number>>();
  const widths = dragged ?? kept ?? {};
  const share = (path: string) => widths[path] ?? list.columns.find((c) => c.path === path)?.width ?? 1;
  const total = list.columns.reduce((n, c) => n + share(c.path), 0);
  const set = useCallback(
    (path: string, to: number) => setDragged((d) => ({ ...(d ?? kept), [path]: Math.max(narrowest, to) })),
    [kept],
  );
  // One after the other: of two that are under way at once, the older might be written last. Of those that wait only
  // the newest is kept.
  const waits = useRef<Record<string, number>>(undefined);
  const under = useRef(false);
  const [keeping, setKeeping] = useState(false);
  const keep = async () => {
    if (!work || !dragged) return;
    waits.current = dragged;
    if (under.current) return;
    under.current = true;
    setKeeping(true);
    while (waits.current) {
      const widths = waits.current;
      waits.current = undefined;
      // As wide as they are they stay; the next one is kept again.
      await work.keepView(element, { name: '', widths }).catch(() => undefined);
    }
    under.current = false;
    setKeeping(false);
    await queries.invalidateQueries({ queryKey: key });
  };
  return { share, total, set, keep, keeping };
}

export type Widths = ReturnType<typeof useWidths>;
