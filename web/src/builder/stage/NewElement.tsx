import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Element } from '../../document/document.gen';
import { newId, put } from '../../document/edit';
import { entityOf } from '../../document/parts';
import { recordTable, screenOf } from '../../document/screens';
import { fieldsOf } from '../../document/tables';
import { Action, Line, Select } from '../../ui/controls';
import { Frame } from '../../ui/Frame';
import { useBuild } from '../context';

interface NewProps {
  cell: { row: number; col: number };
  onClose: (made?: string) => void;
}

/** Makes something new in an empty cell: say what, and its words. */
export function NewElement({ cell, onClose }: NewProps) {
  const { entities, screen, edit } = useBuild();
  const table = entityOf(entities, recordTable(screenOf(entities, screen)), 'table');
  const fields = fieldsOf(table);
  const [kind, setKind] = useState('button');
  const [words, setWords] = useState('');
  const [field, setField] = useState(fields[1]?.id ?? '');
  const make = async () => {
    const id = newId('e');
    await edit(put(entities, [screen, 'elements', id], made(kind, cell, kind === 'field' ? field : words.trim())));
    onClose(id);
  };
  return (
    <Frame title="What goes here?" told width="420px" onClose={() => onClose()}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void make();
        }}
      >
        <Flex direction="column" gap="10px">
          <Select aria-label="Kind" value={kind} onChange={(e) => setKind(e.target.value)}>
            <option value="button">a button</option>
            <option value="text">a text</option>
            {table && <option value="field">a field of the {table.one}</option>}
          </Select>
          {kind === 'field' ? (
            <Select aria-label="Field" value={field} onChange={(e) => setField(e.target.value)}>
              {fields.map((f) => (
                <option key={f.id} value={f.id}>
                  {f.label}
                </option>
              ))}
            </Select>
          ) : (
            <Line
              aria-label="Words"
              autoFocus
              placeholder="Its words"
              value={words}
              onChange={(e) => setWords(e.target.value)}
            />
          )}
          <Box>
            <Action type="submit" tone="main" disabled={kind !== 'field' && !words.trim()}>
              Put it here
            </Action>
          </Box>
        </Flex>
      </form>
    </Frame>
  );
}

/** An element of a kind in a cell, with its words or its field. */
function made(kind: string, cell: { row: number; col: number }, what: string): Element {
  const pos = cell.row * 10 + cell.col;
  if (kind === 'field') return { kind: 'field', pos, cell: { ...cell, w: 4 }, path: what };
  if (kind === 'text') return { kind: 'text', pos, cell: { ...cell, w: 4 }, words: what };
  return { kind: 'button', pos, cell: { ...cell, w: 2 }, words: what };
}
