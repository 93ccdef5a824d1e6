import { useState } from 'react';
import { useBuild } from '../context';
import { type InputDoc, screensOf } from '../document';
import { at, type Json } from '../edit';
import { Picker } from '../Picker';
import { BindPicker } from './BindPicker';
import type { ChipProps } from './ChipPicker';
import { caseId, gate, putGate, type WayRef } from './wiring';

/** What goes along: by name, all that the target takes, or an input of its own by a rule. */
export function CarryPicker({ way, chunk, wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { entities, edit } = useBuild();
  const [input, setInput] = useState<string>();
  const target = screensOf(entities).find((s) => s.id === way.target);
  const path = ['cases', chunk.case ?? caseId(wayRef), 'move', 'carry'];
  const now = gate(wayRef, ...path);
  const names = (at(now, ['names']) as Record<string, Json> | undefined) ?? {};
  if (input)
    return (
      <BindPicker
        chunk={{ text: '', part: 'record', item: input, bad: true }}
        way={way}
        wayRef={wayRef}
        onClose={onClose}
      />
    );
  const set = (value: Json | undefined) => {
    onClose();
    void edit(putGate(wayRef, path, value));
  };
  const open = target?.inputs.filter((i) => i.id !== target.record) ?? [];
  const own = Object.values((at(entities, [wayRef.shared ?? wayRef.screen, 'inputs']) as Record<string, Json>) ?? {});
  const given = (i: InputDoc) =>
    own.some((o) => at(o, ['alias']) === i.alias && at(o, ['type']) === i.type && at(o, ['table']) === i.table);
  const some = open.some(given);
  const all = {
    id: 'all',
    words: 'carry all that it takes',
    note: some ? 'by name, also what it takes later' : 'by name; nothing yet, as nothing by these names is given here',
  };
  return (
    <Picker
      label="What goes along"
      up
      choices={[
        ...(some ? [all] : []),
        ...open
          .filter((i) => i.id in names)
          .map((i) => ({ id: `-${i.id}`, words: `${i.label}: carry it no more`, note: 'carried by name' })),
        ...open
          .filter((i) => !(i.id in names) && given(i))
          .map((i) => ({ id: `+${i.id}`, words: `${i.label}: carry it`, note: 'what is given here under that name' })),
        ...open.map((i) => ({ id: i.id, words: `${i.label}: say which`, note: 'only what belongs to it is shown' })),
        ...(some || open.length === 0 ? [] : [all]),
        ...(now === undefined ? [] : [{ id: 'none', words: 'carry nothing' }]),
      ]}
      onClose={onClose}
      onChoose={(c) => {
        const id = c.id.slice(1);
        if (c.id === 'all') return set({ all: true });
        if (c.id === 'none') return set(undefined);
        if (c.id.startsWith('+')) return set({ names: { ...names, [id]: true } });
        if (c.id.startsWith('-')) {
          const left = Object.fromEntries(Object.entries(names).filter(([n]) => n !== id));
          return set(Object.keys(left).length ? { names: left } : undefined);
        }
        setInput(c.id);
      }}
      empty={`“${target?.title ?? 'The target'}” takes nothing to narrow it by.`}
    />
  );
}
