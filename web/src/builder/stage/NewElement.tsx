import { Box } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type CellWish } from '../../api/client';
import { newId } from '../../document/edit';
import type { Edges } from '../../ui/beside';
import { useBuild } from '../context';
import { type Choice, Picker } from '../Picker';

/** An empty cell, where it stands in the window, and the tab that what is put there belongs to. */
export interface EmptyCell {
  row: number;
  col: number;
  at: Edges;
  tab?: string;
  frame?: string; // that it is to stand in
}

interface NewProps {
  cell: EmptyCell;
  onClose: (made?: { element: string; kind: string }) => void;
}

/** What goes into an empty cell: found by typing any word of what it is or of what it shows. */
export function NewElement({ cell, onClose }: NewProps) {
  const { project, draft, screen, edit } = useBuild();
  const client = useQueryClient();
  const [words, setWords] = useState('');
  const [element] = useState(() => newId('e'));
  const { row, col, tab, frame, at } = cell;
  const asked = (typed: string) => {
    const body: CellWish = { screen, row, col, words: typed, element, tab, frame };
    return {
      queryKey: ['cell', project, draft.seq, body],
      queryFn: () => ask(api.POST('/api/build/{project}/cells', { params: { path: { project } }, body })),
      staleTime: 60_000,
    };
  };
  const offers = useQuery({ ...asked(words), placeholderData: (old) => old });
  const choose = async (choice: Choice) => {
    // While what was typed last is still looked for, what is shown is of before.
    const all = offers.isPlaceholderData ? await client.fetchQuery(asked(words)) : (offers.data ?? []);
    const one = all.find((o) => o.id === choice.id) ?? all[0];
    if (!one) return;
    await edit(one.patch);
    onClose({ element, kind: one.id.split(':')[0] ?? '' });
  };
  return (
    <Box
      position="fixed"
      zIndex="popover"
      pointerEvents="none"
      style={{ left: at.left, top: at.top, width: at.right - at.left, height: at.bottom - at.top }}
    >
      <Box pointerEvents="auto">
        <Picker
          label="What goes here"
          hint="type what goes here"
          choices={offers.data ?? []}
          filtered
          coming={offers.isPending || offers.isPlaceholderData}
          onType={setWords}
          onChoose={(c) => void choose(c)}
          onClose={() => onClose()}
          empty={offers.isPending ? 'Looking …' : 'Nothing of that can be put here.'}
        />
      </Box>
    </Box>
  );
}
