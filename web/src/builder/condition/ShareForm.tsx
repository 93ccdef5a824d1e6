import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Op } from '../../api/client';
import { aliasOf } from '../../document/alias';
import type { Condition } from '../../document/document.gen';
import { newId } from '../../document/edit';
import { Action, Line } from '../../ui/controls';
import { readCondition, type Spot } from './spot';

/** What sharing a condition under a name needs: whose records it speaks of, and a hand to edit with. */
export interface Share {
  table: string;
  root: 'record' | 'row'; // what the condition calls that record
  pos: number;
  edit: (patch: Op[]) => Promise<unknown>;
}

/** Gives a condition a name, so that others can use it; it is then used here by that name too. */
export function ShareForm(p: { spot: Spot; share: Share; stored: string; onShared: (stored: string) => void }) {
  const [name, setName] = useState<string>();
  const [problem, setProblem] = useState('');
  if (name === undefined) {
    return (
      <Action tone="quiet" onClick={() => setName('')}>
        Share it under a name …
      </Action>
    );
  }
  const make = async () => {
    const { share, spot } = p;
    const text = share.root === 'row' ? p.stored.replaceAll(/\brow\./g, 'record.') : p.stored;
    const read = await readCondition(
      { project: spot.project, as: spot.as, table: share.table, use: 'shared' },
      { text },
    );
    if (read.problem) return setProblem('Only what speaks of the record and the user alone can be shared.');
    const id = newId('c');
    const body: Condition = {
      kind: 'condition',
      pos: share.pos,
      name: name.trim(),
      alias: aliasOf(name),
      table: share.table,
      text: read.stored,
    };
    await share.edit([{ op: 'add', path: `/${id}`, value: body }]);
    p.onShared(`${share.root}.${id}`);
  };
  return (
    <Box
      as="form"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        if (name.trim()) void make();
      }}
    >
      <Flex gap="6px" align="center">
        <Line
          autoFocus
          aria-label="Name of the shared condition"
          placeholder="in service and mine"
          value={name}
          onChange={(e) => setName(e.target.value)}
          w="190px"
        />
        <Action type="submit" disabled={!name.trim()}>
          Share
        </Action>
      </Flex>
      {problem && (
        <Box color="brick" fontSize="note" role="alert">
          {problem}
        </Box>
      )}
    </Box>
  );
}
