import { Box, Flex } from '@chakra-ui/react';
import type { ButtonStyle, Settings } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { inOrder } from '../../../document/parts';
import { Action, Select } from '../../../ui/controls';
import { contrast, readable } from '../../../ui/theme/contrast';
import { type Look, paletteNames, usual } from '../../../ui/theme/palette';
import { groundOf, inkOf } from '../../../ui/theme/style';
import { useRights } from '../context';

const tones = ['plain', 'main', 'strong', 'quiet', 'good', 'warn', 'stop'] as const;

/** How all buttons of one look are drawn: changed here, it is changed everywhere. */
export function ButtonStyles({ settings }: { settings: Settings }) {
  const { entities, edit } = useRights();
  const set = (tone: string, style: ButtonStyle | undefined) =>
    void edit(put(entities, ['project', 'style', 'buttons', tone], style));
  const own = inOrder(settings.style?.colours);
  const colourOf = (name: string, look: Look) =>
    settings.style?.colours?.[name]?.[look] ??
    (name.startsWith('#') ? name : (settings.palette?.[name]?.[look] ?? usual(name, look)));
  return (
    <Box display="grid" gap="4px">
      {tones.map((tone) => {
        const style = settings.style?.buttons?.[tone];
        // What is only outlined is written in its colour on what screens stand on.
        const bad = (['light', 'dark'] as const).filter(
          (look) =>
            style?.drawn === 'outlined' && contrast(colourOf(style.colour, look), colourOf('ground', look)) < 4.5,
        );
        return (
          <Box key={tone}>
            <Flex gap="8px" align="center">
              <Box minW="66px" fontWeight="700">
                {tone}
              </Box>
              <Select
                aria-label={`Colour of ${tone} buttons`}
                minH="30px"
                value={style?.colour ?? ''}
                onChange={(e) => set(tone, e.target.value ? { ...style, colour: e.target.value } : undefined)}
              >
                <option value="">as usual</option>
                {own.map((c) => (
                  <option key={c.id} value={c.id}>
                    {c.name}
                  </option>
                ))}
                {paletteNames.map(([name]) => (
                  <option key={name} value={name}>
                    {name}
                  </option>
                ))}
              </Select>
              {style && (
                <>
                  <Select
                    aria-label={`How ${tone} buttons are drawn`}
                    minH="30px"
                    value={style.drawn ?? 'filled'}
                    onChange={(e) =>
                      set(tone, { ...style, drawn: e.target.value === 'outlined' ? 'outlined' : undefined })
                    }
                  >
                    <option value="filled">filled</option>
                    <option value="outlined">outlined</option>
                  </Select>
                  <Box
                    px="12px"
                    py="3px"
                    borderWidth="1.5px"
                    borderRadius="4px"
                    fontWeight="700"
                    style={
                      style.drawn === 'outlined'
                        ? { borderColor: groundOf(style.colour), color: groundOf(style.colour) }
                        : {
                            borderColor: groundOf(style.colour),
                            background: groundOf(style.colour),
                            color: inkOf(style.colour),
                          }
                    }
                  >
                    Sample
                  </Box>
                </>
              )}
            </Flex>
            {bad.map((look) => (
              <Flex key={look} role="alert" gap="8px" align="center" fontSize="note" color="brick" fontWeight="600">
                {look === 'light' ? 'by day' : 'by night'}, outlined {tone} buttons read badly on the ground.
                <Action
                  minH="26px"
                  onClick={() => style && set(tone, { ...style, drawn: undefined, colour: style.colour })}
                >
                  fill them
                </Action>
                {style?.colour.startsWith('co_') && (
                  <Action
                    minH="26px"
                    onClick={() =>
                      void edit(
                        put(
                          entities,
                          ['project', 'style', 'colours', style.colour, look],
                          readable(colourOf(style.colour, look), colourOf('ground', look), 4.5),
                        ),
                      )
                    }
                  >
                    take {readable(colourOf(style.colour, look), colourOf('ground', look), 4.5)}
                  </Action>
                )}
              </Flex>
            ))}
          </Box>
        );
      })}
    </Box>
  );
}
