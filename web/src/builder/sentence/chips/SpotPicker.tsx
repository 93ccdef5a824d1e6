import { screenMove } from '../../../document/gates';
import { elementsOf } from '../../../document/screens';
import { useBuild } from '../../context';
import { spotsOf } from '../../elements/all';
import { Picker } from '../../Picker';
import { moveOf, putInMove } from '../wiring';
import type { ChipProps } from './chip';

/** Where in the target one is led to: a tab, a list, a field. */
export function SpotPicker({ chunk, wayRef, onClose }: ChipProps) {
  const { entities, edit } = useBuild();
  const move = screenMove(moveOf(wayRef, chunk.case));
  const choices = elementsOf(entities, move?.target ?? '').flatMap((e) => spotsOf(e, entities));
  const set = (spot: string | undefined) => {
    onClose();
    // A row belongs to the list that it was in.
    const row = move?.spotRow ? putInMove(wayRef, chunk.case, ['spotRow'], undefined) : [];
    void edit([...row, ...putInMove(wayRef, chunk.case, ['spot'], spot)]);
  };
  return (
    <Picker
      label="Where in it"
      up
      choices={[{ id: '', words: 'the whole screen' }, ...choices]}
      onClose={onClose}
      onChoose={(c) => set(c.id || undefined)}
    />
  );
}
