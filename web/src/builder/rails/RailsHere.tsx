import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Select } from '../../ui/controls';
import { useBuild } from '../context';
import { text } from '../document';
import { newId } from '../edit';
import { RailForm } from './RailForm';

/** The rails of the project, each with its rule, and a new one. */
export function RailsHere() {
  const { entities, edit } = useBuild();
  const [open, setOpen] = useState<string>();
  const rails = Object.entries(entities).filter(([, e]) => text(e, 'kind') === 'rail');
  const add = async () => {
    const id = newId('ra');
    const body = {
      kind: 'rail',
      pos: rails.length + 1,
      name: 'New rail',
      edge: 'bottom',
      placed: { kinds: { form: true } },
      elements: {
        [newId('e')]: {
          kind: 'button',
          pos: 1,
          cell: { row: 1, col: 1, w: 12 },
          words: 'Home',
          icon: 'home',
          gate: { cases: { c_1: { pos: 1, move: { kind: 'home' } } } },
        },
      },
    };
    await edit([{ op: 'add', path: `/${id}`, value: body }]);
    setOpen(id);
  };
  return (
    <Box position="relative">
      <Select
        aria-label="Rails"
        value=""
        onChange={(e) => (e.target.value === '+' ? void add() : setOpen(e.target.value))}
      >
        <option value="">rails …</option>
        {rails.map(([id, r]) => (
          <option key={id} value={id}>
            {text(r, 'name')}
          </option>
        ))}
        <option value="+">+ a rail</option>
      </Select>
      {open && <RailForm rail={open} onClose={() => setOpen(undefined)} />}
    </Box>
  );
}
