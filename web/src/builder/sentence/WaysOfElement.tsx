import { Flex } from '@chakra-ui/react';
import { newId, put } from '../../document/edit';
import { ownedOf } from '../../document/owner';
import { Select } from '../../ui/controls';
import { useBuild } from '../context';
import { builtOf } from '../elements/all';

/** Which of several ways of an element is told: a row opened, or an entry of its menu; and a further entry. */
export function WaysOfElement() {
  const { ways, way, chosen, choose, entities, screen, edit } = useBuild();
  const owned = ownedOf(entities, screen, chosen ?? '');
  const { menuOf, changes } = owned?.element ? builtOf(owned.element) : {};
  if (!chosen || (ways.length < 2 && !menuOf && !changes)) return null;
  const path = owned?.path ?? [];
  const add = async () => {
    const id = newId('m');
    const pos = ways.length + 1;
    await edit(put(entities, [...path, 'menu', id], { pos, words: 'New entry', gate: {} }));
    choose(chosen, `menu.${id}`);
  };
  const addChanged = async () => {
    await edit(put(entities, [...path, 'changed'], {}));
    choose(chosen, 'changed');
  };
  const has = (trigger: string) => ways.some((w) => w.trigger === trigger);
  const words = (sentence: { part?: string; text: string }[]) => sentence.find((c) => c.part === 'trigger')?.text ?? '';
  return (
    <Flex fontSize="note" gap="8px" align="center">
      <Select
        aria-label="Which of its ways"
        value={way?.trigger ?? ''}
        onChange={(e) => {
          if (e.target.value === '+menu') void add();
          else if (e.target.value === '+changed') void addChanged();
          else choose(chosen, e.target.value);
        }}
      >
        {!way && <option value="">no way yet</option>}
        {ways.map((w) => (
          <option key={w.trigger} value={w.trigger}>
            when {words(w.sentence)}
          </option>
        ))}
        {menuOf && <option value="+menu">+ an entry of its {menuOf} menu</option>}
        {changes && !has('changed') && <option value="+changed">+ when its value is changed</option>}
      </Select>
    </Flex>
  );
}
