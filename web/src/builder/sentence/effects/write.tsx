import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { newId } from '../../../document/edit';
import { entityOf, inOrder } from '../../../document/parts';
import { Select } from '../../../ui/controls';
import { NamePicker } from '../../condition/NamePicker';
import { readCondition, useName, useNames } from '../../condition/spot';
import { useBuild } from '../../context';
import { spotOf } from '../wiring';
import type { BuiltEffect, FormProps } from './effect';
import { EffectFrame } from './parts/EffectFrame';
import { Options, type TypedOption } from './parts/Options';
import { useReading } from './parts/useReading';
import { ValueEntry } from './parts/ValueEntry';
import { type Entry, entryOf, unsaid, type Wanted } from './parts/values';

/** Writes to a tag of the plant. */
export const write: BuiltEffect<'write'> = {
  actions: ({ entities, screen }) =>
    entityOf(entities, screen, 'screen')?.type === 'operator'
      ? [{ id: 'write', words: 'write to a tag …', group: 'The plant' }]
      : [],
  Form: WriteForm,
};

/** How a tag of a type can be written. */
function waysFor(type: string | undefined) {
  const value = ['', 'the value'] as const;
  const choose = ['choose', 'one of several, whichever is pressed'] as const;
  if (type === 'yesno')
    return [value, ['turn', 'the other of on and off'], ['hold', 'on as long as it is held'], choose] as const;
  if (type === 'number' || type === 'whole') return [value, ['up', 'more by'], ['down', 'less by'], choose] as const;
  return [value, choose] as const;
}

const emptyOption = (): TypedOption => ({ id: newId('o'), value: '', words: '' });

/** Which tag is written to, and what. */
function WriteForm({ wayRef, effect, standing, onClose, onDone }: FormProps<'write'>) {
  const { as } = useBuild();
  const { problem, setProblem, text: readText, entry: read } = useReading(wayRef);
  const spot = spotOf(wayRef, as);
  const names = useNames(spot).data ?? [];
  const [tag, setTag] = useState(''); // its path over aliases
  const [entry, setEntry] = useState<Entry>(unsaid);
  const [how, setHow] = useState(effect?.how);
  const [options, setOptions] = useState<TypedOption[]>(() =>
    effect?.options ? inOrder(effect.options) : [emptyOption(), emptyOption()],
  );
  const name = useName(spot, names, tag);
  const wanted: Wanted = { type: name?.type ?? '', choices: name?.choices, unit: name?.unit };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, to show the name in the stead of ids
  useEffect(() => {
    const stored = effect?.tag;
    if (stored) void readCondition(spot, { text: stored, value: true }).then((r) => setTag(r.shown));
  }, []);
  const known = name !== undefined;
  const ways = waysFor(name?.type);
  // biome-ignore lint/correctness/useExhaustiveDependencies: when the tag is known
  useEffect(() => {
    if (known && effect?.value && entry.how === '') setEntry(entryOf(wanted, effect.value));
  }, [known]);
  const save = async () => {
    if (!tag) return setProblem('Choose a tag.');
    const path = await readText(tag);
    if (path !== undefined && how === 'choose') {
      if (options.some((o) => !o.words || !o.value)) return setProblem('Each value has words and what it writes.');
      const kept = options.map(({ id, value, words }, i) => [id, { pos: i + 1, value, words }]);
      return onDone({ kind: 'write', tag: path, how, options: Object.fromEntries(kept) });
    }
    if (path !== undefined && (how === 'turn' || how === 'hold')) return onDone({ kind: 'write', tag: path, how });
    const value = path === undefined ? undefined : await read(entry);
    if (path !== undefined && value !== undefined) onDone({ kind: 'write', tag: path, how, value });
  };
  return (
    <EffectFrame
      label="Write to a tag"
      width="500px"
      problem={problem}
      onSave={save}
      onClose={onClose}
      standing={standing}
    >
      write to
      {tag && (
        <Box fontWeight="700" color="plum">
          {name ? `${name.words}, ${name.of}` : tag}
        </Box>
      )}
      <NamePicker
        spot={spot}
        names={names}
        only={(n) => n.kind === 'live' && n.writable === true}
        label="Tag to write to"
        words={tag ? 'another' : 'choose a tag'}
        onChoose={(n) => {
          setTag(n.path);
          setEntry(unsaid);
          setHow(undefined);
          setProblem(undefined);
        }}
      />
      {known && ways.length > 1 && (
        <Select
          aria-label="How it is written"
          value={how ?? ''}
          onChange={(e) => setHow(ways.find(([id]) => id === e.target.value)?.[0] || undefined)}
        >
          {ways.map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Select>
      )}
      {known && how === 'choose' && (
        <Options options={options} onOptions={setOptions} onAdd={() => setOptions([...options, emptyOption()])} />
      )}
      {known && how !== 'turn' && how !== 'hold' && how !== 'choose' && (
        <ValueEntry wayRef={wayRef} wanted={wanted} entry={entry} onEntry={setEntry} label="Which" />
      )}
    </EffectFrame>
  );
}
