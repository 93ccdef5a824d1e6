import { useState } from 'react';
import { mainListOf } from '../../../document/screens';
import type { BuiltEffect, FormProps } from './effect';
import { EffectFrame } from './parts/EffectFrame';
import { useReading } from './parts/useReading';
import { ValueEntry } from './parts/ValueEntry';
import { type Entry, entryOf, unsaid } from './parts/values';

/** Finds words in the list. */
export const find: BuiltEffect<'find'> = {
  actions: ({ entities, screen }) =>
    mainListOf(entities, screen)
      ? [{ id: 'find', words: 'find in the list …', note: 'words to look for', group: 'What is looked at' }]
      : [],
  Form: FindForm,
};

const wanted = { type: 'text' };

function FindForm({ wayRef, effect, standing, onClose, onDone }: FormProps<'find'>) {
  const { problem, entry: read } = useReading(wayRef);
  const [entry, setEntry] = useState<Entry>(() => (effect?.words ? entryOf(wanted, effect.words) : unsaid));
  const save = async () => {
    const words = await read(entry);
    if (words !== undefined) onDone({ kind: 'find', words });
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
      find
      <ValueEntry wayRef={wayRef} wanted={wanted} entry={entry} onEntry={setEntry} label="Which" />
    </EffectFrame>
  );
}
