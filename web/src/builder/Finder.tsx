import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import type { Draft } from '../api/client';
import { found } from './choices';
import { allThings, type Command, deepThings, peopleOf } from './finding';
import { Picker } from './Picker';

interface FinderProps {
  draft: Draft;
  commands: Command[];
  onOpen: (screen: string, element?: string) => void;
  onData: (item: string) => void;
  onWho: (as: string) => void;
  onClose: () => void;
}

const most = 80; // told at once

/** Ctrl+K: everything that one can go to or do, by any word of it. */
export function Finder({ draft, commands, onOpen, onData, onWho, onClose }: FinderProps) {
  const { entities, people, walks } = draft;
  const [typed, setTyped] = useState('');
  const near = useMemo(() => allThings(entities, commands), [entities, commands]);
  const deep = useMemo(
    () => [...(walks ? peopleOf(people, onWho) : []), ...deepThings(entities)],
    [entities, people, walks, onWho],
  );
  const looking = typed.trim().length > 1;
  const shown = looking ? [...found(near, typed), ...found(deep, typed)].slice(0, most) : found(near, typed);
  return (
    <Box position="fixed" inset="0" zIndex="modal" bg="haze">
      <Box position="absolute" left="50%" top="90px" ml="-155px">
        <Picker
          label="Find a screen or table"
          hint="a screen, an element, a table, a command"
          choices={shown}
          filtered
          onType={setTyped}
          onChoose={(c) => {
            if (c.does) {
              onClose();
              c.does();
            } else if (c.screen) onOpen(c.screen, c.element);
            else onData(c.page ?? 'tables');
          }}
          onClose={onClose}
        />
      </Box>
    </Box>
  );
}
