import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { aliasOf } from '../../../document/alias';
import type { Tally } from '../../../document/document.gen';
import { newId, put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { childrenOf, fieldsOf } from '../../../document/tables';
import { Action, Line, Select } from '../../../ui/controls';
import { useRights } from '../context';
import { takeIn, takes } from './takes';

/** A further figure: its name, what it takes and of what. */
export function NewTally({ table, pos }: { table: string; pos: number }) {
  const { entities, edit } = useRights();
  const children = childrenOf(entities, table);
  const [label, setLabel] = useState('');
  const [take, setTake] = useState<Tally['take']>('count');
  const [of, setOf] = useState(children[0] ? `${children[0].table}.${children[0].field}` : '');
  const [path, setPath] = useState('');
  if (children.length === 0) return null;
  const [child = '', by = ''] = of.split('.');
  const fields = fieldsOf(entityOf(entities, child, 'table'));
  const sized = fields.filter((f) => ['whole', 'decimal', 'number', 'date', 'moment'].includes(f.type));
  const ofField = take === 'min' || take === 'max';
  const chosen = path || sized[0]?.id || '';
  const add = () => {
    const tally: Tally = {
      pos,
      label: label.trim(),
      alias: aliasOf(label),
      take,
      of: child,
      by,
      ...(ofField ? { path: chosen } : {}),
    };
    setLabel('');
    void edit(put(entities, [table, 'tallies', newId('n')], tally));
  };
  return (
    <Flex
      as="form"
      wrap="wrap"
      gap="6px"
      pt="10px"
      align="center"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        if (label.trim()) add();
      }}
    >
      <Line
        aria-label="Name of a new counted field"
        placeholder="Open defects"
        value={label}
        w="150px"
        onChange={(e) => setLabel(e.target.value)}
      />
      <Select aria-label="What it takes" value={take} onChange={(e) => setTake(takeIn(e.target.value))} fontSize="note">
        {Object.entries(takes).map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
      {ofField && (
        <Select aria-label="Of which field" value={chosen} onChange={(e) => setPath(e.target.value)} fontSize="note">
          {sized.map((f) => (
            <option key={f.id} value={f.id}>
              {f.label.toLowerCase()}
            </option>
          ))}
        </Select>
      )}
      <Select aria-label="Of which records" value={of} onChange={(e) => setOf(e.target.value)} fontSize="note">
        {children.map((c) => (
          <option key={`${c.table}.${c.field}`} value={`${c.table}.${c.field}`}>
            {c.words}
          </option>
        ))}
      </Select>
      <Action type="submit" disabled={!label.trim() || (ofField && !chosen)}>
        + counted field
      </Action>
    </Flex>
  );
}
