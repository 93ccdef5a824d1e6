import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import { tablesOf, text } from '../../document';
import { at, type Json } from '../../edit';
import { mainListOf } from './actions';
import { EffectFrame } from './EffectFrame';
import type { FormProps } from './forms';
import { useReading } from './useReading';
import { ValueEntry } from './ValueEntry';
import { entryOf, type Wanted } from './values';

const comparisons: [string, string][] = [
  ['is', 'is'],
  ['isNot', 'is not'],
  ['contains', 'contains'],
  ['atLeast', 'is at least'],
  ['atMost', 'is at most'],
  ['empty', 'is empty'],
  ['notEmpty', 'is not empty'],
];

interface LookProps extends FormProps {
  kind: 'filter' | 'sort' | 'find';
}

/** How the list is looked at: narrowed by a field, ordered by one, or found in. */
export function LookForm({ kind, wayRef, effect, standing, onClose, onDone }: LookProps) {
  const { entities, screen } = useBuild();
  const { problem, entry: read } = useReading(wayRef);
  const table = tablesOf(entities).find((t) => t.id === mainListOf(entities, screen)?.table);
  const fields = table?.fields ?? [];
  const [field, setField] = useState(text(effect, 'path') || fields[0]?.id || '');
  const [compare, setCompare] = useState(text(effect, 'compare') || 'is');
  const [desc, setDesc] = useState(at(effect, ['desc']) === true);
  const of = fields.find((f) => f.id === field);
  const wanted: Wanted =
    kind === 'find'
      ? { type: 'text' }
      : { type: of?.type ?? 'text', table: of?.references, choices: of?.choices, unit: of?.unit };
  const [entry, setEntry] = useState(() => {
    const stored = text(effect, kind === 'find' ? 'words' : 'value');
    return stored ? entryOf(wanted, stored) : { how: '', typed: '' };
  });
  const valued = kind === 'find' || (kind === 'filter' && compare !== 'empty' && compare !== 'notEmpty');
  const save = async () => {
    const stored = valued ? await read(entry) : undefined;
    if (valued && stored === undefined) return;
    const value: Record<string, Json> = stored ? { value: stored } : {};
    if (kind === 'sort') onDone({ kind, path: field, ...(desc ? { desc } : {}) });
    else if (kind === 'find') onDone({ kind, words: stored ?? '' });
    else onDone({ kind, path: field, compare, ...value });
  };
  const words = { filter: 'narrow to', sort: 'order by', find: 'find' }[kind];
  return (
    <EffectFrame
      label="How the list is shown"
      width="500px"
      problem={problem}
      onSave={save}
      onClose={onClose}
      standing={standing}
    >
      {words}
      {kind !== 'find' && (
        <Select
          aria-label="Field"
          autoFocus
          value={field}
          onChange={(e) => {
            setField(e.target.value);
            setEntry({ how: '', typed: '' });
          }}
        >
          {!of && (
            <option value={field}>{field.includes('.') ? 'a field further away' : 'a field that is gone'}</option>
          )}
          {fields.map((f) => (
            <option key={f.id} value={f.id}>
              {f.label.toLowerCase()}
            </option>
          ))}
        </Select>
      )}
      {kind === 'filter' && (
        <Select aria-label="How" value={compare} onChange={(e) => setCompare(e.target.value)}>
          {comparisons.map(([id, what]) => (
            <option key={id} value={id}>
              {what}
            </option>
          ))}
        </Select>
      )}
      {kind === 'sort' && (
        <Flex as="label" gap="6px">
          <input type="checkbox" checked={desc} onChange={(e) => setDesc(e.target.checked)} />
          the highest first
        </Flex>
      )}
      {valued && <ValueEntry wayRef={wayRef} wanted={wanted} entry={entry} onEntry={setEntry} label="Which" />}
    </EffectFrame>
  );
}
