import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Op } from '../../../api/client';
import { useBuild } from '../../context';
import { text } from '../../document';
import { at, type Json, newId } from '../../edit';
import { Picker } from '../../Picker';
import { Pop } from '../../Pop';
import type { ChipProps } from '../ChipPicker';
import { caseId, gate, putGate, type WayRef } from '../wiring';
import { AddForm } from './AddForm';
import { actionsOf } from './actions';
import { type Standing, StandingActions } from './EffectFrame';
import type { FormProps } from './forms';
import { LookForm } from './LookForm';
import { SetForm } from './SetForm';
import { VariableForm } from './VariableForm';
import { WriteForm } from './WriteForm';

/** What is done before one is moved, found by any word of it; one that is there is changed, put
 * before or after the others, or taken away. */
export function EffectPicker(p: ChipProps & { wayRef: WayRef }) {
  const { chunk, wayRef, onClose } = p;
  const { entities, edit, screen } = useBuild();
  const [form, setForm] = useState<string>();
  const id = chunk.case ?? caseId(wayRef);
  const all = (gate(wayRef, 'cases', id, 'do') as Record<string, Json> | undefined) ?? {};
  const effect = chunk.item ? all[chunk.item] : undefined;
  const done = (body: Record<string, Json>, also: Op[] = []) => {
    onClose();
    const last = Math.max(0, ...Object.values(all).map(posOf));
    const doc = { pos: effect === undefined ? last + 1 : posOf(effect), ...body };
    if (gate(wayRef, 'cases', id) === undefined)
      return void edit([...also, ...putGate(wayRef, ['cases', id], { pos: 1, do: { [newId('d')]: doc } })]);
    void edit([...also, ...putGate(wayRef, ['cases', id, 'do', chunk.item ?? newId('d')], doc)]);
  };
  if (chunk.item && effect !== undefined) {
    const standing = standingOf(
      chunk.item,
      all,
      (ops) => {
        onClose();
        void edit(ops);
      },
      (item, value) => putGate(wayRef, ['cases', id, 'do', item], value),
    );
    const kept = formOf(text(effect, 'kind'), { wayRef, effect, standing, onClose, onDone: done });
    return (
      kept ?? (
        <Pop label="This action" onClose={onClose}>
          <Flex p="12px" gap="8px" align="center">
            {chunk.text}
            <StandingActions standing={standing} />
          </Flex>
        </Pop>
      )
    );
  }
  const fresh = form && formOf(form, { wayRef, onClose, onDone: done });
  if (fresh) return fresh;
  const actions = actionsOf(entities, screen);
  return (
    <Picker
      label="First do"
      up
      choices={actions}
      onClose={onClose}
      onChoose={(c) => {
        const action = actions.find((a) => a.id === c.id);
        if (action?.effect) done(action.effect);
        else setForm(action?.form);
      }}
    />
  );
}

/** The form of an action that something is to be said of. */
function formOf(kind: string, p: FormProps) {
  switch (kind) {
    case 'set':
      return <SetForm {...p} />;
    case 'add':
      return <AddForm {...p} />;
    case 'filter':
    case 'sort':
    case 'find':
      return <LookForm {...p} kind={kind} />;
    case 'write':
      return <WriteForm {...p} />;
    case 'setVar':
      return <VariableForm {...p} />;
  }
}

const posOf = (effect: Json) => Number(at(effect, ['pos']) ?? 0);

/** What can be done with one of several actions: they are done in the order of their positions. */
function standingOf(
  item: string,
  all: Record<string, Json>,
  edit: (ops: Op[]) => void,
  put: (item: string, value: Json | undefined) => Op[],
): Standing {
  const order = Object.keys(all).sort((a, b) => posOf(all[a] ?? null) - posOf(all[b] ?? null));
  const i = order.indexOf(item);
  const turned = (k: number) => () => {
    const next = [...order];
    next.splice(i, 1);
    next.splice(k, 0, item);
    edit(next.flatMap((id, pos) => put(id, { ...(all[id] as Record<string, Json>), pos: pos + 1 })));
  };
  return {
    remove: () => edit(put(item, undefined)),
    sooner: i > 0 ? turned(i - 1) : undefined,
    later: i < order.length - 1 ? turned(i + 1) : undefined,
  };
}
