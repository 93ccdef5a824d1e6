import { useMemo } from 'react';
import { useSteady } from '../../ui/useSteady';
import type { RowHands } from './ListRow';

/** The handlers of the rows, the same from drawing to drawing. */
export function useRowHands(now: RowHands): RowHands {
  const tick = useSteady(now.tick);
  const choose = useSteady(now.choose);
  const open = useSteady(now.open);
  const edit = useSteady(now.edit);
  const menu = useSteady(now.menu);
  return useMemo(() => ({ tick, choose, open, edit, menu }), [tick, choose, open, edit, menu]);
}
