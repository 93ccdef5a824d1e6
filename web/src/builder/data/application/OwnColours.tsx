import { Box, Flex } from '@chakra-ui/react';
import type { Settings } from '../../../document/document.gen';
import { newId, put } from '../../../document/edit';
import { inOrder, posBehind } from '../../../document/parts';
import { shownBy } from '../../../document/pictures';
import { ColourInput } from '../../../ui/ColourInput';
import { Action } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { usual } from '../../../ui/theme/palette';
import { useRights } from '../context';

/** Colours with names of the builder’s own: what uses one changes with it. */
export function OwnColours({ settings }: { settings: Settings }) {
  const { entities, edit } = useRights();
  const at = ['project', 'style', 'colours'];
  const all = inOrder(settings.style?.colours);
  const add = () =>
    edit(
      put(entities, [...at, newId('co')], {
        pos: posBehind(all),
        name: 'New colour',
        light: usual('accent', 'light'),
        dark: usual('accent', 'dark'),
      }),
    );
  return (
    <Box mt="8px">
      {all.map((c) => {
        const by = shownBy(entities, c.id);
        return (
          <Flex key={c.id} gap="8px" align="center" py="2px" wrap="wrap">
            <Typed
              label={`What the colour ${c.name} is called`}
              width="170px"
              value={c.name}
              onSave={(v) => v && void edit(put(entities, [...at, c.id, 'name'], v))}
            />
            {(
              [
                ['light', 'by day'],
                ['dark', 'by night'],
              ] as const
            ).map(([look, when]) => (
              <Flex key={look} gap="6px" align="center">
                <ColourInput
                  label={`${c.name} ${when}`}
                  value={c[look] ?? '#000000'}
                  onSave={(v) => v !== c[look] && void edit(put(entities, [...at, c.id, look], v))}
                />
                <Box color="muted" fontSize="note">
                  {when}
                </Box>
              </Flex>
            ))}
            <Action
              tone="quiet"
              minH="26px"
              aria-label={`Remove the colour ${c.name}`}
              disabled={by.length > 0}
              title={by.length > 0 ? 'It is used; give those another colour first.' : undefined}
              onClick={() => void edit(put(entities, [...at, c.id], undefined))}
            >
              remove
            </Action>
            <Box color="muted" fontSize="note">
              {by.length > 0 ? `used by ${by.join(', ')}` : 'used by nothing yet'}
            </Box>
          </Flex>
        );
      })}
      <Action mt="4px" onClick={() => void add()}>
        + a colour of your own
      </Action>
    </Box>
  );
}
