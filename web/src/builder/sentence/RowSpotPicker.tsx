import { useQuery } from '@tanstack/react-query';
import { useBuild } from '../context';
import { text } from '../document';
import type { Json } from '../edit';
import { Picker } from '../Picker';
import type { ChipProps } from './ChipPicker';
import { caseId, gate, proposals, putGate, type WayRef } from './wiring';

/** Which row of the list one is led to. */
export function RowSpotPicker({ chunk, wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { edit } = useBuild();
  const path = ['cases', chunk.case ?? caseId(wayRef), 'move'];
  const target = text(gate(wayRef, ...path, 'target'));
  const list = text(gate(wayRef, ...path, 'spot'));
  const found = useQuery({
    queryKey: ['proposals', wayRef.project, wayRef.screen, wayRef.element, wayRef.trigger, target, 'spot', list],
    queryFn: () => proposals(wayRef, target, `spot.${list}`),
    staleTime: 0,
  });
  const rules = (found.data ?? []).filter(
    (p) => p.binding && !/^(picked|child)$/.test(text(p.binding as unknown as Json, 'rule')),
  );
  const put = (binding: Json | undefined) => {
    onClose();
    void edit(putGate(wayRef, [...path, 'spotRow'], binding));
  };
  return (
    <Picker
      label="At which row"
      up
      choices={[
        ...rules.map((p, i) => ({ id: String(i), words: p.words, note: p.note })),
        ...(gate(wayRef, ...path, 'spotRow') === undefined ? [] : [{ id: 'none', words: 'at no row, the list alone' }]),
      ]}
      onClose={onClose}
      onChoose={(c) => put(c.id === 'none' ? undefined : (rules[Number(c.id)]?.binding as Json | undefined))}
      empty={found.isPending ? 'looking …' : 'Nothing here leads to a row of that list.'}
    />
  );
}
