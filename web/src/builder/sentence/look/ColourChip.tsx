import { Flex } from '@chakra-ui/react';
import { put, text } from '../../../document/edit';
import { Action } from '../../../ui/controls';
import { useBuild } from '../../context';

const first = '#e8d9b5'; // what one begins to choose from

/** A colour of one's own in the stead of the tone's; what is written on it is black or white, whichever reads. */
export function ColourChip({ path }: { path: string[] }) {
  const { entities, edit } = useBuild();
  const colour = text(entities, ...path);
  const set = (value: string | undefined) => void edit(put(entities, path, value));
  if (!colour) return <Action onClick={() => set(first)}>own colour</Action>;
  return (
    <Flex align="center" gap="2px">
      <input
        type="color"
        aria-label="Own colour"
        defaultValue={colour}
        onBlur={(e) => e.target.value !== colour && set(e.target.value)}
        style={{ width: 36, height: 32, cursor: 'pointer' }}
      />
      <Action tone="quiet" aria-label="No own colour" onClick={() => set(undefined)}>
        ×
      </Action>
    </Flex>
  );
}
