import { newId, put } from '../../../document/edit';
import { Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import { offers } from './all';

/** Adds a way that no element of the screen sets off. */
export function NewWay() {
  const { entities, screen, edit, choose, setPicker } = useBuild();
  const add = async (kind: string) => {
    const offer = offers.find((o) => o.id === kind);
    if (!offer) return;
    const id = newId('w');
    await edit(put(entities, [screen, 'ways', id], { pos: 1, ...offer.way, gate: {} }));
    choose(id);
    setPicker(offer.does ? '+do' : 'target');
  };
  return (
    <Select aria-label="A way of the screen itself" value="" onChange={(e) => void add(e.target.value)}>
      <option value="">+ a way of the screen itself</option>
      {offers.map((o) => (
        <option key={o.id} value={o.id}>
          {o.words}
        </option>
      ))}
    </Select>
  );
}
