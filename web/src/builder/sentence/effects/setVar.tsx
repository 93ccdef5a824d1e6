import { useState } from 'react';
import { tablesOf } from '../../../document/tables';
import { newVariable, variablesOf } from '../../../document/variables';
import { Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import type { Action, BuiltEffect, FormProps } from './effect';
import { EffectFrame } from './parts/EffectFrame';
import { FreshVariable } from './parts/FreshVariable';
import { useReading } from './parts/useReading';
import { ValueEntry } from './parts/ValueEntry';
import { type Entry, entryOf, unsaid, type Wanted } from './parts/values';

/** Sets what the tab keeps, or puts it back to what it begins with. */
export const setVar: BuiltEffect<'setVar'> = {
  actions: ({ entities, screen }) => {
    const group = 'What the tab keeps';
    const here = variablesOf(entities).filter((v) => !v.screen || v.screen === screen);
    const forget = here.map(
      (v): Action<'setVar'> => ({
        id: `forget.${v.id}`,
        words: `${v.start ? 'put back' : 'forget'} ${v.label.toLowerCase()}`,
        note: v.start ? `to ${v.start}` : undefined,
        group,
        body: { kind: 'setVar', variable: v.id },
      }),
    );
    return [{ id: 'setVar', words: 'set a variable …', note: 'one that is there, or a new one', group }, ...forget];
  },
  Form: VariableForm,
};

/** Which variable is set, and to what; one that is missing is made here. */
function VariableForm({ wayRef, effect, standing, onClose, onDone }: FormProps<'setVar'>) {
  const { entities, screen } = useBuild();
  const { problem, setProblem, entry: read } = useReading(wayRef);
  const all = variablesOf(entities).filter((v) => !v.screen || (v.screen === screen && !wayRef.shared));
  const [id, setId] = useState(effect?.variable || all[0]?.id || '+');
  const [fresh, setFresh] = useState({ label: '', type: 'text', table: tablesOf(entities)[0]?.id ?? '', screen: '' });
  const kept = all.find((v) => v.id === id);
  const wanted: Wanted = { ...(kept ?? fresh), self: kept && `vars.${kept.id}` };
  const [entry, setEntry] = useState<Entry>(() => {
    if (effect?.value) return entryOf(wanted, effect.value);
    return { how: effect ? 'start' : '', typed: '' };
  });
  const turnTo = (next: string) => {
    setId(next);
    setEntry(unsaid);
  };
  const save = async () => {
    if (!kept && !fresh.label.trim()) return setProblem('Give it a name.');
    const made = kept ? undefined : newVariable(entities, { ...fresh, label: fresh.label.trim() });
    const body = { kind: 'setVar' as const, variable: kept?.id ?? made?.id ?? '' };
    if (entry.how === 'start') return onDone(body, made?.ops);
    const stored = await read(entry);
    if (stored !== undefined) onDone({ ...body, value: stored }, made?.ops);
  };
  return (
    <EffectFrame
      label="Set a variable"
      width="500px"
      problem={problem}
      onSave={save}
      onClose={onClose}
      standing={standing}
    >
      set
      <Select aria-label="Variable" autoFocus value={id} onChange={(e) => turnTo(e.target.value)}>
        {!kept && id !== '+' && <option value={id}>one that is gone</option>}
        {all.map((v) => (
          <option key={v.id} value={v.id}>
            {v.label.toLowerCase()}
            {v.screen ? ' (this screen)' : ''}
          </option>
        ))}
        <option value="+">a new variable …</option>
      </Select>
      {!kept && (
        <FreshVariable
          fresh={fresh}
          onFresh={(next) => {
            setFresh(next);
            if (next.type !== fresh.type || next.table !== fresh.table) setEntry(unsaid);
          }}
          shared={wayRef.shared !== undefined}
        />
      )}
      to
      <ValueEntry wayRef={wayRef} wanted={wanted} entry={entry} onEntry={setEntry} start={kept?.start ?? ''} />
    </EffectFrame>
  );
}
