import { useState } from 'react';
import { mainListOf } from '../../../document/screens';
import { Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import type { BuiltEffect, FormProps } from './effect';
import { listFields } from './here';
import { EffectFrame } from './parts/EffectFrame';
import { FieldSelect } from './parts/FieldSelect';
import { useReading } from './parts/useReading';
import { ValueEntry } from './parts/ValueEntry';
import { type Entry, entryOf, unsaid, wantedOf } from './parts/values';

/** Narrows the list by a field. */
export const filter: BuiltEffect<'filter'> = {
  actions: ({ entities, screen }) =>
    mainListOf(entities, screen)
      ? [
          {
            id: 'filter',
            words: 'narrow the list to …',
            note: 'a filter on one of its fields',
            group: 'What is looked at',
          },
        ]
      : [],
  Form: FilterForm,
};

const comparisons: [string, string][] = [
  ['is', 'is'],
  ['isNot', 'is not'],
  ['contains', 'contains'],
  ['atLeast', 'is at least'],
  ['atMost', 'is at most'],
  ['empty', 'is empty'],
  ['notEmpty', 'is not empty'],
];

/** Which field, how it is compared, and with what. */
function FilterForm({ wayRef, effect, standing, onClose, onDone }: FormProps<'filter'>) {
  const { entities, screen } = useBuild();
  const { problem, entry: read } = useReading(wayRef);
  const fields = listFields({ entities, screen });
  const [path, setPath] = useState(effect?.path || fields[0]?.id || '');
  const [compare, setCompare] = useState(effect?.compare || 'is');
  const wanted = wantedOf(fields.find((f) => f.id === path));
  const [entry, setEntry] = useState<Entry>(() => (effect?.value ? entryOf(wanted, effect.value) : unsaid));
  const valued = compare !== 'empty' && compare !== 'notEmpty';
  const save = async () => {
    const value = valued ? await read(entry) : undefined;
    if (valued && value === undefined) return;
    onDone({ kind: 'filter', path, compare, ...(value ? { value } : {}) });
  };
  return (
    <EffectFrame
      label="How the list is shown"
      width="500px"
      problem={problem}
      onSave={save}
      onClose={onClose}
      standing={standing}
    >
      narrow to
      <FieldSelect
        fields={fields}
        path={path}
        onPath={(p) => {
          setPath(p);
          setEntry(unsaid);
        }}
      />
      <Select aria-label="How" value={compare} onChange={(e) => setCompare(e.target.value)}>
        {comparisons.map(([id, what]) => (
          <option key={id} value={id}>
            {what}
          </option>
        ))}
      </Select>
      {valued && <ValueEntry wayRef={wayRef} wanted={wanted} entry={entry} onEntry={setEntry} label="Which" />}
    </EffectFrame>
  );
}
