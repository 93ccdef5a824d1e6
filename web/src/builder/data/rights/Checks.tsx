import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action } from '../../../ui/controls';

interface ChecksProps {
  choices: [id: string, words: string][];
  chosen: Iterable<string>;
  note?: string;
  all?: string; // what choosing all of them is called
  none?: string;
  save: string;
  onSave: (ids: Set<string>) => void;
}

/** Some of few: boxes to tick, then one press to set them. */
export function Checks({ choices, chosen, note, all, none, save, onSave }: ChecksProps) {
  const [ids, setIds] = useState(() => new Set(chosen));
  const turn = (id: string, on: boolean) => {
    const next = new Set(ids);
    if (on) next.add(id);
    else next.delete(id);
    setIds(next);
  };
  return (
    <Box p="12px" minW="240px" maxW="420px">
      {(all || none) && (
        <Flex gap="8px" mb="8px">
          {all && <Action onClick={() => setIds(new Set(choices.map(([id]) => id)))}>{all}</Action>}
          {none && <Action onClick={() => setIds(new Set())}>{none}</Action>}
        </Flex>
      )}
      <Box maxH="300px" overflowY="auto" columnCount={choices.length > 8 ? 2 : 1}>
        {choices.map(([id, words], i) => (
          <Box as="label" key={id} display="flex" alignItems="center" gap="8px" py="3px" cursor="pointer">
            <input
              type="checkbox"
              // biome-ignore lint/a11y/noAutofocus: the box was opened to choose
              autoFocus={i === 0}
              checked={ids.has(id)}
              onChange={(e) => turn(id, e.target.checked)}
            />
            {words}
          </Box>
        ))}
      </Box>
      {note && (
        <Box fontSize="note" color="muted" my="8px">
          {note}
        </Box>
      )}
      <Action tone="main" mt="8px" onClick={() => onSave(ids)}>
        {save}
      </Action>
    </Box>
  );
}
