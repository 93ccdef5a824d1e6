import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { put, text } from '../../../document/edit';
import { entityOf, inOrder } from '../../../document/parts';
import { ColourInput } from '../../../ui/ColourInput';
import { Action } from '../../../ui/controls';
import { paletteNames } from '../../../ui/theme/palette';
import { dressSheet, groundOf } from '../../../ui/theme/style';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';

const first = '#e8d9b5'; // what one begins to choose from

/**
 * A colour in the stead of the tone's: one of the application's, which changes with it, or any other. What is written on
 * it is black or white, whichever reads.
 */
export function ColourChip({ path }: { path: string[] }) {
  const { entities, edit } = useBuild();
  const [open, setOpen] = useState(false);
  const colour = text(entities, ...path);
  const settings = entityOf(entities, 'project', 'project');
  const set = (value: string | undefined) => {
    if (value !== colour) void edit(put(entities, path, value));
  };
  const named: [id: string, words: string][] = [
    ...inOrder(settings?.style?.colours).map((c): [string, string] => [c.id, c.name]),
    ...paletteNames.map(([name]): [string, string] => [name, name]),
  ];
  const free = colour.startsWith('#');
  const called = free ? colour : (named.find(([id]) => id === colour)?.[1] ?? 'one that is gone');
  return (
    <Box position="relative">
      <Action aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(!open)}>
        {colour ? `colour: ${called}` : 'colour …'}
      </Action>
      {open && (
        <Pop label="Colour" onClose={() => setOpen(false)}>
          <Box p="12px" w="300px" data-swatches>
            <style>
              {dressSheet(
                { palette: settings?.palette, style: { colours: settings?.style?.colours } },
                '[data-swatches]',
              )}
            </style>
            <Flex wrap="wrap" gap="6px" maxH="170px" overflowY="auto">
              {named.map(([id, words]) => (
                <Action
                  key={id}
                  minH="30px"
                  aria-pressed={id === colour}
                  onClick={() => {
                    setOpen(false);
                    set(id);
                  }}
                >
                  <Box
                    as="span"
                    w="16px"
                    h="16px"
                    borderWidth="1px"
                    borderColor="rule"
                    borderRadius="3px"
                    style={{ background: groundOf(id) }}
                    aria-hidden
                  />
                  {words}
                </Action>
              ))}
            </Flex>
            <Flex gap="8px" align="center" mt="10px" fontSize="note" color="muted">
              any other
              <ColourInput label="Own colour" value={free ? colour : first} onSave={set} />
              <Box flex="1" />
              {colour && (
                <Action
                  tone="quiet"
                  onClick={() => {
                    setOpen(false);
                    set(undefined);
                  }}
                >
                  as its looks say
                </Action>
              )}
            </Flex>
          </Box>
        </Pop>
      )}
    </Box>
  );
}
