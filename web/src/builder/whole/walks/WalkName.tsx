import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { WalkTold } from '../../../api/client';
import { put } from '../../../document/edit';
import { Line } from '../../../ui/controls';
import { useWhole } from '../context';

/** The name of a walk, that can be written otherwise. */
export function WalkName({ walk }: { walk: WalkTold }) {
  const { draft, edit } = useWhole();
  const [name, setName] = useState<string>();
  if (name === undefined) {
    return (
      <Box as="h2" fontSize="head" fontWeight="800">
        <Box as="button" textAlign="left" cursor="text" title="Call it otherwise" onClick={() => setName(walk.name)}>
          {walk.name}
        </Box>
      </Box>
    );
  }
  const keep = () => {
    const to = name.trim();
    if (to && to !== walk.name) void edit(put(draft.entities, [walk.id, 'name'], to));
    setName(undefined);
  };
  return (
    <Line
      autoFocus
      aria-label="Name of the walk"
      value={name}
      maxLength={200}
      onChange={(e) => setName(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => {
        if (e.key === 'Enter') keep();
        if (e.key === 'Escape') setName(undefined);
      }}
    />
  );
}
