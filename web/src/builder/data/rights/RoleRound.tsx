import { Box, Flex } from '@chakra-ui/react';
import type { Role, Stop } from '../../../document/document.gen';
import { newId, put } from '../../../document/edit';
import { inOrder, type Kept, posBehind } from '../../../document/parts';
import { screensOf } from '../../../document/screens';
import { Action, Select } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';

const usual = 20; // seconds

/** The screens that follow each other for a role while nobody touches any, with how long each stays. */
export function RoleRound({ role }: { role: Kept<Role> }) {
  const { entities, edit } = useRights();
  const stops = inOrder(role.round);
  const screens = screensOf(entities).filter((s) => !Object.values(s.inputs ?? {}).some((i) => i.required));
  const free = screens.filter((s) => !stops.some((stop) => stop.screen === s.id));
  const set = (id: string, part: keyof Stop, value: string | number) =>
    void edit(put(entities, [role.id, 'round', id, part], value));
  const remove = (id: string) =>
    void edit(put(entities, stops.length === 1 ? [role.id, 'round'] : [role.id, 'round', id], undefined));
  const add = (screen: string) => {
    const stop: Stop = { screen, stay: stops.at(-1)?.stay ?? usual, pos: posBehind(stops) };
    void edit(put(entities, [role.id, 'round'], { ...role.round, [newId('st')]: stop }));
  };
  const stay = (id: string, typed: string) => {
    const seconds = Number(typed.replace(',', '.'));
    if (seconds >= 3 && seconds <= 86_400) set(id, 'stay', seconds);
  };
  return (
    <Flex align="center" gap="6px" wrap="wrap" fontSize="note" color="muted" pl="44px" pb="4px">
      {stops.length > 0 && <Box as="span">untouched, goes round:</Box>}
      {stops.map((s, i) => {
        const title = screens.find((x) => x.id === s.screen)?.title ?? 'a screen that is gone';
        return (
          <Flex key={s.id} align="center" gap="4px">
            {i > 0 && <Box as="span">→</Box>}
            <Select
              aria-label={`Screen ${i + 1} in the round of ${role.name}`}
              value={s.screen}
              onChange={(e) => set(s.id, 'screen', e.target.value)}
            >
              <option value={s.screen}>{title}</option>
              {free.map((x) => (
                <option key={x.id} value={x.id}>
                  {x.title}
                </option>
              ))}
            </Select>
            for
            <Typed
              label={`Seconds that ${title} stays`}
              width="52px"
              value={String(s.stay)}
              onSave={(typed) => stay(s.id, typed)}
            />
            s
            <Action
              tone="quiet"
              minH="24px"
              px="4px"
              aria-label={`Take ${title} out of the round`}
              onClick={() => remove(s.id)}
            >
              ×
            </Action>
          </Flex>
        );
      })}
      {free.length > 0 && (
        <Select
          aria-label={`Add a screen to the round of ${role.name}`}
          value=""
          onChange={(e) => e.target.value && add(e.target.value)}
        >
          <option value="">{stops.length ? '+ screen' : '+ a round of screens'}</option>
          {free.map((x) => (
            <option key={x.id} value={x.id}>
              {x.title}
            </option>
          ))}
        </Select>
      )}
    </Flex>
  );
}
