import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { NameInfo } from '../../api/client';
import { Action } from '../../ui/controls';
import { type Choice, Picker } from '../Picker';
import { type Spot, useNames } from './spot';

const notes: Record<string, string> = {
  shared: 'shared condition',
  figure: 'counted over other records',
  live: 'live value',
};

/** How many relations a path may go through. */
const deepest = 4;

interface NamePickerProps {
  spot: Spot;
  names: NameInfo[];
  onChoose: (n: NameInfo) => void;
  only?: (n: NameInfo) => boolean; // what can be chosen; relations can be followed in any case
  label?: string;
  words?: string; // of the button
}

/** Adds a row by any word of a field's name; records can be followed to what they refer to. */
export function NamePicker({
  spot,
  names,
  onChoose,
  only = () => true,
  label = 'Field to compare',
  words = '+ field',
}: NamePickerProps) {
  const [open, setOpen] = useState(false);
  const [under, setUnder] = useState('');
  const far = useNames(spot, under, open && under !== '');
  const shown = under ? (far.data ?? []) : names;
  const close = () => {
    setOpen(false);
    setUnder('');
  };
  const choices: Choice[] = [];
  if (under) choices.push({ id: 'back', words: 'Back to what is near', glyph: 'back' });
  for (const n of shown) {
    if (only(n)) choices.push({ id: n.path, words: n.words, note: noteOf(n), group: n.of });
    if (n.type === 'record' && canFollow(n.path, under, names)) {
      choices.push({ id: `under:${n.path}`, words: `${n.words}’s …`, note: 'what this record has', group: n.of });
    }
  }
  const choose = (c: Choice) => {
    if (c.id === 'back') return setUnder('');
    if (c.id.startsWith('under:')) return setUnder(c.id.slice('under:'.length));
    close();
    const name = shown.find((n) => n.path === c.id);
    if (name) onChoose(name);
  };
  return (
    <Box position="relative" display="inline-block">
      <Action type="button" onClick={() => setOpen(true)} aria-haspopup="dialog" aria-expanded={open}>
        {words}
      </Action>
      {open && (
        <Picker
          key={under}
          label={label}
          up
          coming={far.isLoading}
          choices={choices}
          onClose={close}
          onChoose={choose}
          empty={far.isPending && under ? 'Looking …' : undefined}
        />
      )}
    </Box>
  );
}

function noteOf(n: NameInfo): string | undefined {
  return notes[n.kind] ?? n.choices?.join(', ') ?? n.unit;
}

/** Near records show what they have anyway; those further away are followed one by one. */
function canFollow(path: string, under: string, names: NameInfo[]): boolean {
  const relations = path.split('.').length - 1;
  if (relations > deepest) return false;
  return under !== '' || !names.some((n) => n.path.startsWith(`${path}.`));
}
