import { useQuery } from '@tanstack/react-query';
import type { Binding } from '../../../document/document.gen';
import { screenMove } from '../../../document/gates';
import { useBuild } from '../../context';
import { Picker } from '../../Picker';
import { proposals, proposalsKey } from '../proposals';
import { moveOf, putInMove } from '../wiring';
import type { ChipProps } from './chip';

/** Rules that ask for a record, or find one below another: no row is known by them beforehand. */
const later = ['picked', 'child'];

/** Which row of the list one is led to. */
export function RowSpotPicker({ chunk, wayRef, onClose }: ChipProps) {
  const { edit } = useBuild();
  const move = screenMove(moveOf(wayRef, chunk.case));
  const target = move?.target ?? '';
  const list = move?.spot ?? '';
  const found = useQuery({
    queryKey: proposalsKey(wayRef, target, 'spot', list),
    queryFn: () => proposals(wayRef, target, `spot.${list}`),
    staleTime: 0,
  });
  const rules = (found.data ?? []).filter((p) => p.binding && !later.includes(p.binding.rule));
  const put = (binding: Binding | undefined) => {
    onClose();
    void edit(putInMove(wayRef, chunk.case, ['spotRow'], binding));
  };
  return (
    <Picker
      label="At which row"
      up
      coming={found.isPending}
      choices={[
        ...rules.map((p, i) => ({ id: String(i), words: p.words, note: p.note })),
        ...(move?.spotRow ? [{ id: 'none', words: 'at no row, the list alone' }] : []),
      ]}
      onClose={onClose}
      onChoose={(c) => put(c.id === 'none' ? undefined : rules[Number(c.id)]?.binding)}
      empty={found.isPending ? 'looking …' : 'Nothing here leads to a row of that list.'}
    />
  );
}
