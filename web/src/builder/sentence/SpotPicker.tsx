import { useBuild } from '../context';
import { text } from '../document';
import { at, type Json } from '../edit';
import { type Choice, Picker } from '../Picker';
import type { ChipProps } from './ChipPicker';
import { caseId, gate, putGate, type WayRef } from './wiring';

/** Where in the target one is led to: a tab, a list, a field. */
export function SpotPicker({ chunk, wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { entities, edit } = useBuild();
  const path = ['cases', chunk.case ?? caseId(wayRef), 'move'];
  const target = text(gate(wayRef, ...path, 'target'));
  const elements = Object.entries((at(entities, [target, 'elements']) as Record<string, Json> | undefined) ?? {});
  const choices: Choice[] = elements.flatMap(([id, e]) => {
    const kind = text(e, 'kind');
    if (kind === 'tabs') {
      return Object.entries((at(e, ['tabs']) as Record<string, Json> | undefined) ?? {}).map(([tab, t]) => ({
        id: `${id}.${tab}`,
        words: `the tab “${text(t, 'label')}”`,
        group: 'Tabs',
      }));
    }
    const table = text(entities[text(e, 'table')], 'label');
    const words = text(e, 'label') || text(e, 'words') || table || text(e, 'path').replace(/^f_/, '');
    return words ? [{ id, words, note: kind, group: 'Parts of the screen' }] : [];
  });
  const set = (spot: string | undefined) => {
    onClose();
    // A row belongs to the list that it was in.
    const row = gate(wayRef, ...path, 'spotRow') === undefined ? [] : putGate(wayRef, [...path, 'spotRow'], undefined);
    void edit([...row, ...putGate(wayRef, [...path, 'spot'], spot)]);
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
