import { Box, Dialog, Flex, Portal } from '@chakra-ui/react';
import { useState } from 'react';
import type { Op } from '../api/client';
import { Action, Line, Select } from '../ui/controls';
import { useBuild } from './context';
import { recordTable, screensOf, tablesOf } from './document';
import { type Json, newId, put } from './edit';

/** Makes something new in an empty cell: say what, and its words. */
export function NewElement({
  cell,
  onClose,
}: {
  cell: { row: number; col: number };
  onClose: (made?: string) => void;
}) {
  const { entities, screen, edit } = useBuild();
  const table = tablesOf(entities).find((t) => t.id === recordTable(screensOf(entities).find((s) => s.id === screen)));
  const [kind, setKind] = useState('button');
  const [words, setWords] = useState('');
  const [field, setField] = useState(table?.fields[1]?.id ?? '');
  const make = async () => {
    const id = newId('e');
    const body: Record<string, Json> = {
      kind,
      pos: cell.row * 10 + cell.col,
      cell: { ...cell, w: kind === 'button' ? 2 : 4 },
    };
    if (kind === 'field') body.path = field;
    else body.words = words.trim();
    const ops: Op[] = put(entities, [screen, 'elements', id], body);
    await edit(ops);
    onClose(id);
  };
  return (
    <Dialog.Root open onOpenChange={(d) => !d.open && onClose()} placement="center">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content
            bg="plate"
            color="ink"
            borderRadius="4px"
            maxW="420px"
            borderTopWidth="6px"
            borderColor="amber"
          >
            <Dialog.Header pb="4px">
              <Dialog.Title fontSize="head" fontWeight="800">
                What goes here?
              </Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
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
                      {table?.fields.map((f) => (
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
            </Dialog.Body>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
