import { put } from '../../../document/edit';
import { Labelled } from '../../../ui/Labelled';
import { Typed } from '../../../ui/Typed';
import { useBuild } from '../../context';

interface TypedPartProps {
  path: string[]; // of what it is a part of
  name: string;
  label: string;
  value: string | number | undefined;
  hint?: string;
  width?: string;
  /** It is a number; nothing else is kept. */
  number?: boolean;
  /** It cannot be empty. */
  needed?: boolean;
}

/** A part of an element that is typed: a text, or a number. Emptied, it is taken away where it can be. */
export function TypedPart({ path, name, label, value, hint, width, number, needed }: TypedPartProps) {
  const { entities, edit } = useBuild();
  const save = (typed: string) => {
    if (typed === '' && needed) return;
    const kept = typed === '' ? undefined : number ? Number(typed.replace(',', '.')) : typed;
    if (typeof kept === 'number' && !Number.isFinite(kept)) return;
    void edit(put(entities, [...path, name], kept));
  };
  return (
    <Labelled label={label}>
      <Typed
        label={label}
        hint={hint}
        width={width ?? (number ? '76px' : '160px')}
        value={String(value ?? '')}
        onSave={save}
      />
    </Labelled>
  );
}
