import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { moveOf, putInMove } from '../wiring';
import type { ChipProps } from './chip';
import { OfferedPicker } from './OfferedPicker';
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

/** What fills in a part of an address. An input of another application's screen is chosen from what is at hand. */
export function WithPicker(p: ChipProps) {
  const { chunk, wayRef, onClose } = p;
  const { edit } = useBuild();
  const move = moveOf(wayRef, chunk.case);
  const name = chunk.item ?? '';
  if (move?.kind === 'project') return <OfferedPicker {...p} move={move} />;
  return (
    <Pop label={`What ${name} is`} onClose={onClose}>
      <ValueForm
        label={`What “${name}” is`}
        stored={(move?.kind === 'address' ? move.with : undefined)?.[name] ?? ''}
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
