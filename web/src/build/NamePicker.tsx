import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { NameInfo } from '../api/client';
import { Action } from '../ui/controls';
import { Picker } from './Picker';

/** Adds a row by any word of a field's name. */
export function NamePicker({ names, onChoose }: { names: NameInfo[]; onChoose: (n: NameInfo) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <Box position="relative" display="inline-block">
      <Action onClick={() => setOpen(true)}>+ field</Action>
      {open && (
        <Picker
          label="Field to compare"
          up
          choices={names.map((n) => ({ id: n.path, words: n.words, note: n.choices ? n.choices.join(', ') : n.unit }))}
          onClose={() => setOpen(false)}
          onChoose={(c) => {
            setOpen(false);
            const name = names.find((n) => n.path === c.id);
            if (name) onChoose(name);
          }}
        />
      )}
    </Box>
  );
}
