import { Flex } from '@chakra-ui/react';
import { newId, put } from '../../document/edit';
import { ownedOf } from '../../document/owner';
import { Select } from '../../ui/controls';
import { useBuild } from '../context';
import { builtOf } from '../elements/all';
import type { Start } from '../elements/element';

/** Which of several ways of an element is told: a row opened, or an entry of its menu; and one that it has not yet. */
export function WaysOfElement() {
  const { ways, way, chosen, choose, entities, screen, edit, setPicker } = useBuild();
  const owned = ownedOf(entities, screen, chosen ?? '');
  const { menuOf, starts = [], startsOf } = owned?.element ? builtOf(owned.element) : {};
  const all = owned?.element ? [...starts, ...(startsOf?.(owned.element) ?? [])] : starts;
  const missing = all.filter((s) => s.many || !ways.some((w) => w.trigger === s.trigger));
  if (!chosen || (ways.length < 2 && !menuOf && missing.length === 0)) return null;
  const path = owned?.path ?? [];
  const begin = (trigger: string) => {
    choose(chosen, trigger);
    setPicker('target');
  };
  const add = async (s: Start) => {
    if (!s.many) {
      await edit(put(entities, [...path, ...s.at.split('/')], {}));
      return begin(s.trigger);
    }
    const id = s.id ?? newId(s.at.charAt(0));
    const own = s.also ? {} : { words: s.many };
    await edit([
      ...put(entities, [...path, s.at, id], { pos: ways.length + 1, ...own, gate: {} }),
      ...(s.also?.(entities, path, id) ?? []),
    ]);
    begin(`${s.at}.${id}`);
  };
  const menu: Start[] = menuOf
    ? [{ trigger: 'menu', at: 'menu', words: `an entry of its ${menuOf} menu`, many: 'New entry' }]
    : [];
  const offers = [...missing, ...menu];
  const words = (sentence: { part?: string; text: string }[]) => sentence.find((c) => c.part === 'trigger')?.text ?? '';
  return (
    <Flex fontSize="note" gap="8px" align="center">
      <Select
        aria-label="Which of its ways"
        value={way?.trigger ?? ''}
        onChange={(e) => {
          const one = offers.find((o) => `+${o.trigger}` === e.target.value);
          if (one) void add(one);
          else choose(chosen, e.target.value);
        }}
      >
        {!way && <option value="">no way yet</option>}
        {ways.map((w) => (
          <option key={w.trigger} value={w.trigger}>
            when {words(w.sentence)}
          </option>
        ))}
        {offers.map((o) => (
          <option key={o.trigger} value={`+${o.trigger}`}>
            + {o.words}
          </option>
        ))}
      </Select>
    </Flex>
  );
}
