import { Flex } from '@chakra-ui/react';
import type { CallUp } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { entityOf, type Kept } from '../../../document/parts';
import { screensOf } from '../../../document/screens';
import { Select } from '../../../ui/controls';
import { Tick } from '../../../ui/Tick';
import { useRights } from '../context';
import { ticked } from './leads';

/** From where a call-up comes: everywhere, everywhere but some screens, or some alone. */
export function From({ callUp: c }: { callUp: Kept<CallUp> }) {
  const { entities, edit } = useRights();
  const how = c.only ? 'only' : c.not ? 'not' : '';
  const chosen = c.only ?? c.not ?? {};
  const tick = (screen: string) => void edit(put(entities, [c.id, how], ticked(chosen, screen)));
  const others = screensOf(entities).filter((s) => !(s.id in chosen));
  const change = (next: string) => {
    const first = Object.keys(chosen)[0] ?? others[0]?.id;
    const kept = Object.keys(chosen).length > 0 ? chosen : first ? { [first]: true } : undefined;
    void edit([
      ...put(entities, [c.id, 'only'], next === 'only' ? kept : undefined),
      ...put(entities, [c.id, 'not'], next === 'not' ? kept : undefined),
    ]);
  };
  return (
    <Flex mt="8px" gap="6px 10px" align="center" wrap="wrap">
      from
      <Select aria-label="From where" value={how} onChange={(e) => change(e.target.value)}>
        <option value="">everywhere</option>
        <option value="not">everywhere but</option>
        <option value="only">these screens alone</option>
      </Select>
      {how &&
        Object.keys(chosen).map((id) => (
          <Tick
            key={id}
            words={entityOf(entities, id, 'screen')?.title ?? 'a screen that is gone'}
            on
            onTick={() => tick(id)}
          />
        ))}
      {how && (
        <Select aria-label="A further screen" value="" onChange={(e) => e.target.value && tick(e.target.value)}>
          <option value="">choose a further screen</option>
          {others.map((s) => (
            <option key={s.id} value={s.id}>
              {s.title}
            </option>
          ))}
        </Select>
      )}
    </Flex>
  );
}
