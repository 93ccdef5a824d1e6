import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { readCondition } from '../condition/spot';
import { useBuild } from '../context';
import { recordTable, screensOf, text } from '../document';
import { at, type Json } from '../edit';
import { type Choice, Picker } from '../Picker';
import type { ChipProps } from './ChipPicker';
import { caseId, gate, putGate, spotOf, type WayRef } from './wiring';

/** What a dialog comes back with when this way closes it. */
export function ResultPicker({ chunk, way, wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { entities, edit, screen, as } = useBuild();
  const [problem, setProblem] = useState<string>();
  const path = ['cases', chunk.case ?? caseId(wayRef), 'move', 'result'];
  const one = (table: string | undefined) => text(entities[table ?? ''], 'one') || 'record';
  const own = recordTable(screensOf(entities).find((s) => s.id === screen));
  const rows = text(at(entities, [screen, 'elements', way.element]), 'table');
  const choices: (Choice & { binding?: Json })[] = [];
  if (rows && /^(row|menu\.)/.test(way.trigger))
    choices.push({ id: 'row', words: `the clicked ${one(rows)}`, binding: { rule: 'row' } });
  if (own) choices.push({ id: 'this', words: `this ${one(own)}`, binding: { rule: 'this' } });
  if (own) choices.push({ id: 'saved', words: `the ${one(own)} just saved`, binding: { rule: 'saved' } });
  choices.push({ id: 'user', words: 'the user’s own record', binding: { rule: 'user' } });
  if (gate(wayRef, ...path) !== undefined) choices.push({ id: 'none', words: 'nothing of its own' });
  const put = (binding: Json | undefined) => {
    onClose();
    void edit(putGate(wayRef, path, binding));
  };
  const typed = async (words: string) => {
    const read = await readCondition(spotOf(wayRef, as), { text: words, value: true });
    if (read.problem) return setProblem(read.problem.message);
    put({ rule: 'expression', value: read.stored });
  };
  return (
    <Picker
      label="What it comes back with"
      up
      choices={choices}
      make={(words) => ({ id: 'typed', words: `work it out: ${words}`, note: 'an expression, or a value in quotes' })}
      onClose={onClose}
      onChoose={(c) => {
        if (c.id === 'typed') return void typed(c.words.slice('work it out: '.length));
        put(choices.find((x) => x.id === c.id)?.binding);
      }}
      foot={
        problem && (
          <Box color="brick" fontSize="note" p="8px 12px" role="alert">
            {problem}
          </Box>
        )
      }
    />
  );
}
