import { Select } from '../../ui/controls';
import { useBuild } from '../context';
import { type Json, newId, put } from '../edit';

const kinds: [string, string, Record<string, Json>][] = [
  ['swipeLeft', 'when swiped left', { trigger: 'swipe', side: 'left' }],
  ['swipeRight', 'when swiped right', { trigger: 'swipe', side: 'right' }],
  ['keys', 'when keys are pressed', { trigger: 'keys', keys: 'Alt+N' }],
  ['entered', 'when it is entered', { trigger: 'entered' }],
  ['left', 'when it is left', { trigger: 'left' }],
  ['time', 'some time after', { trigger: 'time', after: 60 }],
];

/** Adds a way that no element of the screen sets off. */
export function NewWay() {
  const { entities, screen, edit, choose, setPicker } = useBuild();
  const add = async (kind: string) => {
    const [, , body] = kinds.find(([id]) => id === kind) ?? [];
    if (!body) return;
    const id = newId('w');
    await edit(put(entities, [screen, 'ways', id], { pos: 1, ...body, gate: {} }));
    choose(id);
    setPicker(kind === 'left' ? '+do' : 'target'); // leaving leads nowhere else
  };
  return (
    <Select aria-label="A way of the screen itself" value="" onChange={(e) => void add(e.target.value)}>
      <option value="">+ a way of the screen itself</option>
      {kinds.map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </Select>
  );
}
