import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Rail } from '../../document/document.gen';
import { newId } from '../../document/edit';
import { railsOf } from '../../document/project';
import { Select } from '../../ui/controls';
import { useBuild } from '../context';
import { RailForm } from './RailForm';

/** The rails of the project, each with its rule, and a new one. */
export function RailsHere() {
  const { entities, edit } = useBuild();
  const [open, setOpen] = useState<string>();
  const rails = railsOf(entities);
  const add = async () => {
    const id = newId('ra');
    const body: Rail = {
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
        {rails.map((r) => (
          <option key={r.id} value={r.id}>
            {r.name}
          </option>
        ))}
        <option value="+">+ a rail</option>
      </Select>
      {open && <RailForm rail={open} onClose={() => setOpen(undefined)} />}
    </Box>
  );
}
