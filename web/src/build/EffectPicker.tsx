import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Line, Select } from '../ui/controls';
import type { ChipProps } from './ChipPicker';
import { readCondition } from './condition/spot';
import { useBuild } from './context';
import { childListsOf, recordTable, screensOf, tablesOf } from './document';
import { newId } from './edit';
import { Pop } from './Pop';
import { caseId, gate, putGate, type WayRef } from './wiring';

/** What is done before one is moved: save, delete, or set a field. An action that is there can be taken away. */
export function EffectPicker({ chunk, wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { entities, edit, screen, project, as } = useBuild();
  const id = chunk.case ?? caseId(wayRef);
  const table = tablesOf(entities).find((t) => t.id === recordTable(screensOf(entities).find((s) => s.id === screen)));
  const one = (id: string) => tablesOf(entities).find((t) => t.id === id)?.one ?? 'row';
  const fields = table?.fields.filter((f) => f.alias !== 'id') ?? [];
  const [field, setField] = useState(fields[0]?.id ?? '');
  const chosen = fields.find((f) => f.id === field);
  const [value, setValue] = useState('');
  const [problem, setProblem] = useState<string>();
  const count = Object.keys((gate(wayRef, 'cases', id, 'do') as object | undefined) ?? {}).length;
  const add = (effect: Record<string, string | object>) => {
    onClose();
    void edit(putGate(wayRef, ['cases', id, 'do', newId('d')], { pos: count + 1, ...effect } as never));
  };
  const set = async () => {
    const expression =
      chosen?.choices || chosen?.type === 'text' ? JSON.stringify(value || chosen?.choices?.[0] || '') : value;
    // Read as "x == x", so that any expression is accepted and misspelt names are told.
    const read = await readCondition(
      { project, as, screen, element: wayRef.element },
      { text: `(${expression}) == (${expression})` },
    );
    if (read.problem) return setProblem(read.problem.message);
    add({ kind: 'set', fields: { [field]: read.stored.slice(1, read.stored.indexOf(') == (')) } });
  };
  if (chunk.item) {
    return (
      <Pop label="This action" onClose={onClose}>
        <Flex p="12px" gap="8px" align="center">
          {chunk.text}
          <Action
            tone="bad"
            autoFocus
            onClick={() => {
              onClose();
              void edit(putGate(wayRef, ['cases', id, 'do', chunk.item ?? ''], undefined));
            }}
          >
            take it away
          </Action>
        </Flex>
      </Pop>
    );
  }
  return (
    <Pop label="First do" onClose={onClose}>
      <Box p="12px" w="420px">
        <Flex gap="8px" wrap="wrap">
          <Action autoFocus onClick={() => add({ kind: 'save' })} disabled={!table}>
            save what was typed
          </Action>
          {table && <Action onClick={() => add({ kind: 'delete' })}>delete this {table.one}</Action>}
          {childListsOf(entities, screen).map((list) => (
            <Flex key={list.id} gap="8px">
              {list.inPlace && (
                <Action onClick={() => add({ kind: 'addRow', list: list.id })}>begin a new {one(list.table)}</Action>
              )}
              <Action onClick={() => add({ kind: 'delete', list: list.id })}>
                delete the chosen {one(list.table)}
              </Action>
            </Flex>
          ))}
        </Flex>
        {table ? (
          <Flex align="center" gap="6px" mt="12px" wrap="wrap">
            set
            <Select aria-label="Field" value={field} onChange={(e) => setField(e.target.value)}>
              {fields.map((f) => (
                <option key={f.id} value={f.id}>
                  {f.label.toLowerCase()}
                </option>
              ))}
            </Select>
            to
            {chosen?.choices ? (
              <Select aria-label="Value" value={value || chosen.choices[0]} onChange={(e) => setValue(e.target.value)}>
                {chosen.choices.map((c) => (
                  <option key={c}>{c}</option>
                ))}
              </Select>
            ) : (
              <Box w="150px">
                <Line
                  aria-label="Value"
                  value={value}
                  placeholder={chosen?.type === 'text' ? 'text' : 'today(), user.record, 3'}
                  onChange={(e) => setValue(e.target.value)}
                />
              </Box>
            )}
            <Action tone="main" onClick={() => void set()}>
              Add
            </Action>
          </Flex>
        ) : (
          <Box color="muted" fontSize="note" mt="10px">
            This screen has no record of its own, so there is nothing to save or set.
          </Box>
        )}
        {problem && (
          <Box color="brick" fontSize="note" mt="8px" role="alert">
            {problem}
          </Box>
        )}
      </Box>
    </Pop>
  );
}
