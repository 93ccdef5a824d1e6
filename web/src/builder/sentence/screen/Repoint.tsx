import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { type ScreenDoc, screensOf } from '../../../document/screens';
import { Action } from '../../../ui/controls';
import { useBuild } from '../../context';
import { Picker } from '../../Picker';
import { Pop } from '../../Pop';
import { repoint } from './repoint';

/** All ways to this screen now lead to another: told how many before it is done. */
export function Repoint() {
  const { entities, screen, edit } = useBuild();
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState<ScreenDoc>();
  const screens = screensOf(entities);
  const from = screens.find((s) => s.id === screen);
  if (!from) return null;
  const close = () => {
    setOpen(false);
    setTo(undefined);
  };
  const plan = to && repoint(entities, from, to);
  return (
    <Box position="relative">
      <Action aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(!open)}>
        redirect its ways in …
      </Action>
      {open && !plan && (
        <Picker
          label="Where they lead from now on"
          up
          align="right"
          choices={screens
            .filter((s) => s.id !== screen)
            .map((s) => ({ id: s.id, words: s.title, note: s.type, glyph: s.type, group: s.area || 'No area' }))}
          onClose={close}
          onChoose={(c) => setTo(screens.find((s) => s.id === c.id))}
        />
      )}
      {open && plan && to && (
        <Pop label="Lead them elsewhere" onClose={close}>
          <Box p="14px" w="380px">
            <Box fontWeight="700" mb="6px">
              {plan.ways === 0
                ? `No way leads to “${from.title}”.`
                : `${plan.ways} ${plan.ways === 1 ? 'way' : 'ways'} to “${from.title}” will lead to “${to.title}”.`}
            </Box>
            <Box color="muted" fontSize="note" mb="10px">
              What they bring goes to the inputs of the same name or table. One undo takes all of it back.
            </Box>
            <Flex gap="8px">
              <Action
                tone="main"
                autoFocus
                disabled={plan.ways === 0}
                onClick={() => {
                  close();
                  void edit(plan.ops);
                }}
              >
                Do it
              </Action>
              <Action onClick={close}>Cancel</Action>
            </Flex>
          </Box>
        </Pop>
      )}
    </Box>
  );
}
