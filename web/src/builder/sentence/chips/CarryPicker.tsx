import { useState } from 'react';
import type { Carry, Input } from '../../../document/document.gen';
import { screenMove } from '../../../document/gates';
import { entityOf, idsIn } from '../../../document/parts';
import { inputsOf, screenOf } from '../../../document/screens';
import { useBuild } from '../../context';
import { type Choice, Picker } from '../../Picker';
import { moveOf, putInMove } from '../wiring';
import { BindPicker } from './BindPicker';
import type { ChipProps } from './chip';

/** What goes along: by name, all that the target takes, or an input of its own by a rule. */
export function CarryPicker({ chunk, way, wayRef, onClose }: ChipProps) {
  const { entities, edit } = useBuild();
  const [input, setInput] = useState<string>();
  const target = screenOf(entities, way.target);
  const now = screenMove(moveOf(wayRef, chunk.case))?.carry;
  const names = idsIn(now?.names);
  if (input)
    return <BindPicker chunk={{ text: '', case: chunk.case, item: input }} wayRef={wayRef} onClose={onClose} />;
  const set = (value: Carry | undefined) => {
    onClose();
    void edit(putInMove(wayRef, chunk.case, ['carry'], value));
  };
  const named = (ids: string[]): Carry | undefined =>
    ids.length > 0 ? { names: Object.fromEntries(ids.map((id) => [id, true])) } : undefined;
  const open = inputsOf(target).filter((i) => i.id !== target?.record);
  const source = entityOf(entities, wayRef.screen, 'screen');
  const own = inputsOf(wayRef.shared ? entityOf(entities, wayRef.shared, 'gate') : source);
  const given = (i: Input) => own.some((o) => o.alias === i.alias && o.type === i.type && o.table === i.table);
  const some = open.some(given);
  const all: Choice = {
    id: 'all',
    words: 'bring all that it takes',
    note: some ? 'by name, also what it takes later' : 'by name; nothing yet, as nothing by these names is given here',
  };
  const choices: Choice[] = [
    ...(some ? [all] : []),
    ...open
      .filter((i) => names.includes(i.id))
      .map((i) => ({ id: `-${i.id}`, words: `${i.label}: bring it no more`, note: 'brought by name' })),
    ...open
      .filter((i) => !names.includes(i.id) && given(i))
      .map((i) => ({ id: `+${i.id}`, words: `${i.label}: bring it`, note: 'what is given here under that name' })),
    ...open.map((i) => ({ id: i.id, words: `${i.label}: say which`, note: 'only what belongs to it is shown' })),
    ...(some || open.length === 0 ? [] : [all]),
    ...(now === undefined ? [] : [{ id: 'none', words: 'bring nothing' }]),
  ];
  return (
    <Picker
      label="What goes along"
      up
      choices={choices}
      onClose={onClose}
      onChoose={(c) => {
        const id = c.id.slice(1);
        if (c.id === 'all') return set({ all: true });
        if (c.id === 'none') return set(undefined);
        if (c.id.startsWith('+')) return set(named([...names, id]));
        if (c.id.startsWith('-')) return set(named(names.filter((n) => n !== id)));
        setInput(c.id);
      }}
      empty={`“${target?.title ?? 'The target'}” takes nothing to narrow it by.`}
    />
  );
}
