import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Proposal } from '../../../api/client';
import type { Binding } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { screenMove, targetOf } from '../../../document/gates';
import { entityOf } from '../../../document/parts';
import { recordTable, screenOf } from '../../../document/screens';
import { useBuild } from '../../context';
import { type Choice, Picker } from '../../Picker';
import { useRecords } from '../../useRecords';
import { FieldsForm } from '../effects/parts/FieldsForm';
import { proposals, proposalsKey } from '../proposals';
import { moveOf, putGate, putInMove, type WayRef } from '../wiring';
import { bindingOf, bindPath, givenOf } from './bindings';
import type { ChipProps } from './chip';
import { isConstant } from './constants';
import { NonePicker } from './NonePicker';
import { useExpression } from './useExpression';

// How many records are offered as they are, and how many once one looks for some.
const recordsOffered = 4;
const recordsFound = 20;

interface BindProps extends Pick<ChipProps, 'chunk' | 'wayRef' | 'onClose'> {
  part?: string;
}

/** What an input gets, whether of the target or of the shared gate: proposed from relations, best
 * first; or always the same, found by typing; anything else can be typed as an expression. */
export function BindPicker({ part, chunk, wayRef, onClose }: BindProps) {
  const { edit, entities, as } = useBuild();
  const [then, setThen] = useState<'ends' | 'fill'>();
  const [find, setFind] = useState('');
  const give = part === 'give';
  const move = moveOf(wayRef, chunk.case);
  const target = (give ? wayRef.shared : targetOf(move, chunk.among)) ?? '';
  const input = chunk.item ?? '';
  const now = give ? givenOf(chunk, wayRef) : bindingOf(chunk, wayRef);
  const found = useQuery({
    queryKey: proposalsKey(wayRef, target, input, give),
    queryFn: () => proposals(wayRef, target, input, give),
    staleTime: 0,
  });
  const list = found.data ?? [];
  const takes = inputOf(entities, target, input);
  const table = takes?.table ?? '';
  const records = useRecords({ project: wayRef.project, as, table, find, enabled: table !== '' });
  const always = (records.data ?? []).slice(0, find ? recordsFound : recordsOffered);
  const putBinding = (binding: Binding | undefined) => {
    onClose();
    if (give) return void edit(put(entities, [...wayRef.at, 'give', input], binding));
    const ops = putGate(wayRef, bindPath(chunk, wayRef), binding);
    const added = move?.mode === 'add' && binding ? putInMove(wayRef, chunk.case, ['mode'], undefined) : [];
    void edit([...added, ...ops]);
  };
  const expression = useExpression(give ? { ...wayRef, shared: undefined } : wayRef, putBinding);
  const choose = (proposal: Proposal) => {
    if (!proposal.mode) return putBinding(proposal.binding);
    onClose();
    void edit(putInMove(wayRef, chunk.case, [], { ...move, bind: undefined, mode: proposal.mode }));
  };
  if (then === 'ends') return <NonePicker chunk={chunk} wayRef={wayRef} onClose={onClose} />;
  if (then === 'fill') return <FillIn chunk={chunk} wayRef={wayRef} target={target} onClose={onClose} />;
  const choices: Choice[] = [
    ...(!give && move?.mode === 'add'
      ? [{ id: 'fill', words: 'fill in …', note: 'what the new one begins with' }]
      : []),
    ...list.map((x, i) => ({ id: String(i), words: x.words, note: x.note })),
    ...always.map((r) => ({ id: `=${r.key}`, words: r.title, note: 'always this one' })),
    ...(now === undefined || give ? [] : [{ id: 'ends', words: 'if there is none …', note: 'what happens then' }]),
    ...(now === undefined ? [] : [{ id: 'none', words: 'bring nothing', note: 'leave this input open' }]),
  ];
  return (
    <Picker
      label="On which record"
      up
      onType={setFind}
      choices={choices}
      coming={found.isPending || records.isLoading}
      make={(words) => {
        if (isConstant(words, takes?.type ?? '')) return { id: `=${words}`, words, note: 'always' };
        const title = table !== '' && !/[.("]/.test(words); // a part of one
        return title ? undefined : expression.choice(words);
      }}
      onClose={onClose}
      onChoose={(c) => {
        if (c.id === 'fill' || c.id === 'ends') return setThen(c.id);
        if (expression.takes(c)) return;
        if (c.id.startsWith('=')) return putBinding({ rule: 'value', value: c.id.slice(1) });
        if (c.id === 'none') return putBinding(undefined);
        const proposal = list[Number(c.id)];
        if (proposal) choose(proposal);
      }}
      empty={found.isPending ? 'looking …' : 'Nothing here leads to such a record.'}
      foot={expression.foot}
    />
  );
}

/** What the fields of a record that is added get at first. */
function FillIn({ chunk, wayRef, target, onClose }: BindProps & { target: string }) {
  const { edit, entities } = useBuild();
  const fill = (fields: Record<string, string> | undefined) => {
    onClose();
    void edit(putInMove(wayRef, chunk.case, ['set'], fields));
  };
  return (
    <FieldsForm
      wayRef={wayRef}
      label="Filled in"
      lead="with"
      table={recordTable(screenOf(entities, target))}
      kept={screenMove(moveOf(wayRef, chunk.case))?.set ?? {}}
      standing={{ remove: () => fill(undefined) }}
      onClose={onClose}
      onDone={fill}
    />
  );
}

/** What an input of a screen or of a shared gate takes. */
function inputOf(entities: WayRef['entities'], target: string, input: string) {
  return (entityOf(entities, target, 'screen') ?? entityOf(entities, target, 'gate'))?.inputs?.[input];
}
