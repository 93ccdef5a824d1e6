import { type Op, type Part, put } from '../../../document/edit';
import { Select } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { useBuild } from '../../context';

interface ChosenPartProps {
  path: string[]; // of what it is a part of
  name: string;
  label: string;
  value: string | undefined;
  /** What it can be, with the words for it; "" is the usual, and takes the part away. */
  among: readonly (readonly [id: string, words: string])[];
  /** How it is kept, where not as it is named. */
  as?: (id: string) => Part;
  /** What is changed with it. */
  also?: (id: string) => Op[] | Promise<Op[]>;
}

/** A part of an element that is one of few. */
export function ChosenPart({ path, name, label, value, among, as, also }: ChosenPartProps) {
  const { entities, edit } = useBuild();
  const known = among.some(([id]) => id === (value ?? ''));
  const kept = (id: string) => (id === '' ? undefined : as ? as(id) : id);
  const choose = async (id: string) =>
    edit([...put(entities, [...path, name], kept(id)), ...((await also?.(id)) ?? [])]);
  return (
    <Labelled label={label}>
      <Select aria-label={label} maxW="220px" value={value ?? ''} onChange={(e) => void choose(e.target.value)}>
        {!known && <option value={value ?? ''}>{value ? 'one that is gone' : 'choose …'}</option>}
        {among.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
    </Labelled>
  );
}
