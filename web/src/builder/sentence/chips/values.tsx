import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { moveOf, putInMove } from '../wiring';
import type { ChipProps } from './chip';
import { ValueForm } from './ValueForm';

/** What decides which of several screens is opened. */
export function ByPicker({ chunk, wayRef, onClose }: ChipProps) {
  const { edit } = useBuild();
  const move = moveOf(wayRef, chunk.case);
  return (
    <Pop label="What decides" onClose={onClose}>
      <ValueForm
        label="What decides which screen is opened"
        stored={move?.kind === 'choice' ? move.by : ''}
        wayRef={wayRef}
        hint="record.area"
        onSave={(v) => {
          onClose();
          void edit(putInMove(wayRef, chunk.case, ['by'], v));
        }}
      />
    </Pop>
  );
}

/** What fills in a part of an address, or an input of another project's screen. */
export function WithPicker({ chunk, wayRef, onClose }: ChipProps) {
  const { edit } = useBuild();
  const move = moveOf(wayRef, chunk.case);
  const name = chunk.item ?? '';
  const filled = move?.kind === 'address' || move?.kind === 'project' ? move.with : undefined;
  return (
    <Pop label={`What ${name} is`} onClose={onClose}>
      <ValueForm
        label={`What “${name}” is`}
        stored={filled?.[name] ?? ''}
        wayRef={wayRef}
        hint="record.code"
        onSave={(v) => {
          onClose();
          void edit(putInMove(wayRef, chunk.case, ['with', name], v));
        }}
      />
    </Pop>
  );
}
