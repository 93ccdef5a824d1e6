import { Box, Flex } from '@chakra-ui/react';
import type { Settings } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { ColourInput } from '../../../ui/ColourInput';
import { Action } from '../../../ui/controls';
import { contrast, readable } from '../../../ui/theme/contrast';
import { pairs, paletteNames, usual } from '../../../ui/theme/palette';
import { useRights } from '../context';

type Look = 'light' | 'dark';

const looks: [Look, string][] = [
  ['light', 'by day'],
  ['dark', 'by night'],
];

/** The colours of the application, by day and by night; what would not read is told, with the nearest that does. */
export function PaletteLines({ settings }: { settings: Settings }) {
  const { entities, edit } = useRights();
  const now = (name: string, look: Look) => settings.palette?.[name]?.[look] ?? usual(name, look);
  const set = (name: string, look: Look, colour: string | undefined) =>
    void edit(put(entities, ['project', 'palette', name, look], colour));
  const wrong = looks.flatMap(([look, when]) =>
    pairs.flatMap(([name, ground, least]) => {
      const is = contrast(now(name, look), now(ground, look));
      return is < least
        ? [{ look, when, name, ground, is, better: readable(now(name, look), now(ground, look), least) }]
        : [];
    }),
  );
  return (
    <Box>
      <Box as="table" css={{ borderCollapse: 'collapse' }}>
        <tbody>
          {paletteNames.map(([name, words]) => (
            <tr key={name}>
              <Box as="th" textAlign="left" fontWeight="700" pr="12px">
                {name}
              </Box>
              <Box as="td" color="muted" fontSize="note" pr="16px">
                {words}
              </Box>
              {looks.map(([look, when]) => (
                <Box as="td" key={look} pr="12px" py="2px">
                  <Flex align="center" gap="6px">
                    <ColourInput
                      label={`${name} ${when}`}
                      value={now(name, look)}
                      onSave={(v) => v !== now(name, look) && set(name, look, v)}
                    />
                    {settings.palette?.[name]?.[look] ? (
                      <Action
                        tone="quiet"
                        minH="26px"
                        aria-label={`${name} ${when}: the usual one`}
                        onClick={() => set(name, look, undefined)}
                      >
                        the usual one
                      </Action>
                    ) : (
                      <Box color="muted" fontSize="note">
                        {when}
                      </Box>
                    )}
                  </Flex>
                </Box>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
      {wrong.map((w) => (
        <Flex key={`${w.look}.${w.name}.${w.ground}`} align="center" gap="8px" mt="4px" role="alert">
          <Box color="brick" fontWeight="600" fontSize="note">
            {w.when}, {w.name} on {w.ground} reads badly: {w.is.toFixed(1)} to 1.
          </Box>
          <Action minH="26px" onClick={() => set(w.name, w.look, w.better)}>
            take {w.better}
          </Action>
        </Flex>
      ))}
    </Box>
  );
}
