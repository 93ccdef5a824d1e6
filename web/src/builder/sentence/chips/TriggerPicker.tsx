import { at, put, text } from '../../../document/edit';
import { useBuild } from '../../context';
import type { ChipProps } from './chip';
import { SimplePicker } from './choices';
import { Note } from './Note';
import { WordsPicker } from './words';

/** What sets a way off, where there is a choice. */
export function TriggerPicker({ way, wayRef, onClose }: ChipProps) {
  const { entities, edit } = useBuild();
  const base = wayRef.at.slice(0, -1); // the element, or the entry of a menu
  if (wayRef.at.at(-1) === 'gate' && /^(menu|several)\./.test(way.trigger)) {
    return (
      <WordsPicker
        label="What the menu calls it"
        value={text(entities, ...base, 'words')}
        none="remove it"
        onClose={onClose}
        onSave={(v) => {
          onClose();
          void edit(v ? put(entities, [...base, 'words'], v) : put(entities, base, undefined));
        }}
      />
    );
  }
  if (way.trigger !== 'release' && way.trigger !== 'press')
    return <Note onClose={onClose}>There is nothing else that could set this way off here.</Note>;
  if (at(entities, [...base, 'down']))
    return <Note onClose={onClose}>Its going down is a way of its own: this one is its being let go.</Note>;
  return (
    <SimplePicker
      label="Set off when"
      choices={[
        ['release', 'released: sliding off cancels'],
        ['press', 'pressed: at once'],
      ]}
      onClose={onClose}
      onSave={(v) => {
        onClose();
        void edit(put(entities, [...base, 'trigger'], v === 'press' ? v : undefined));
      }}
    />
  );
}
