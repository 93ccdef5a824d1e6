import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Proposal } from '../api/client';
import type { ChipProps } from './ChipPicker';
import { useBuild } from './context';
import { screensOf, text } from './document';
import type { Json } from './edit';
import { Picker } from './Picker';
import { caseId, gate, proposals, putGate, type WayRef } from './wiring';

function useProposals(w: WayRef, target: string, input: string | undefined) {
  return useQuery({
    queryKey: ['proposals', w.project, w.screen, w.element, target, input],
    queryFn: () => proposals(w, target, input ?? ''),
    enabled: !!input,
    staleTime: 0,
  });
}

/** On which record: proposed from relations, best first. */
export function BindPicker({ chunk, wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { edit } = useBuild();
  const id = chunk.case ?? caseId(wayRef);
  const target = text(gate(wayRef, 'cases', id, 'move', 'target'));
  const input = chunk.item;
  const found = useProposals(wayRef, target, input);
  const list = found.data ?? [];
  const choose = (p: Proposal | undefined) => {
    onClose();
    if (!input) return;
    const path = ['cases', id, 'move'];
    if (!p) return void edit(putGate(wayRef, [...path, 'bind', input], undefined));
    const move = { ...(gate(wayRef, ...path) as Record<string, Json>) };
    if (p.mode) {
      delete move.bind;
      move.mode = p.mode;
    } else {
      if (move.mode === 'add') delete move.mode;
      move.bind = { ...(move.bind as Record<string, Json> | undefined), [input]: p.binding as Json };
    }
    void edit(putGate(wayRef, path, move));
  };
  return (
    <Picker
      label="On which record"
      up
      choices={[
        ...list.map((p, i) => ({ id: String(i), words: p.words, note: p.note })),
        ...(chunk.bad ? [] : [{ id: 'none', words: 'bring nothing', note: 'leave this input open' }]),
      ]}
      onClose={onClose}
      onChoose={(c) => choose(c.id === 'none' ? undefined : list[Number(c.id)])}
      empty={found.isPending ? 'looking …' : 'Nothing here leads to such a record.'}
    />
  );
}

/** Which further inputs of the target this way gives: what narrows it. */
export function CarryPicker({ way, wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { entities } = useBuild();
  const [input, setInput] = useState<string>();
  const target = screensOf(entities).find((s) => s.id === way.target);
  if (input)
    return (
      <BindPicker
        chunk={{ text: '', part: 'record', item: input, bad: true }}
        way={way}
        wayRef={wayRef}
        onClose={onClose}
      />
    );
  const open = target?.inputs.filter((i) => i.id !== target.record) ?? [];
  return (
    <Picker
      label="Narrow it by"
      up
      choices={open.map((i) => ({ id: i.id, words: i.label, note: 'only what belongs to it is shown' }))}
      onClose={onClose}
      onChoose={(c) => setInput(c.id)}
      empty={`“${target?.title ?? 'The target'}” takes nothing to narrow it by.`}
    />
  );
}
