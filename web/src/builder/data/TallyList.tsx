import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { aliasOf } from '../../document/alias';
import type { Tally } from '../../document/document.gen';
import { newId, put } from '../../document/edit';
import { entityOf } from '../../document/parts';
import { childrenOf, fieldsOf, talliesOf } from '../../document/tables';
import { Action, Line, Select } from '../../ui/controls';
import { ConditionEditor } from '../condition/ConditionEditor';
import { Pop } from '../Pop';
import { useRights } from './context';

const takes: Record<Tally['take'], string> = {
  count: 'how many',
  exists: 'whether there are any',
  min: 'the smallest',
  max: 'the largest',
};

/** The figures of a table: how many open defects a cabin has. Conditions and lists use them like fields. */
export function TallyList({ table }: { table: string }) {
  const { project, as, entities, edit } = useRights();
  const [open, setOpen] = useState<string>();
  const tallies = talliesOf(entityOf(entities, table, 'table'));
  return (
    <Box fontSize="note">
      {tallies.length === 0 && <Box color="muted">There is none yet.</Box>}
      {tallies.map((t) => {
        const child = entityOf(entities, t.of, 'table');
        const field = child?.fields[t.path ?? ''];
        return (
          <Flex key={t.id} gap="8px" align="baseline" py="4px" borderBottomWidth="1px" borderColor="rule">
            <Box flex="1">
              <b>{t.label}</b>:{' '}
              <Box as="span" color="muted">
                {takes[t.take]} {field ? `${field.label.toLowerCase()} of ` : ''}
                {child?.label.toLowerCase() ?? 'records that are gone'}
              </Box>
            </Box>
            <Action tone="quiet" minH="26px" onClick={() => setOpen(t.id)} aria-haspopup="dialog">
              {t.while ? 'only some …' : 'all of them'}
            </Action>
            <Action
              tone="quiet"
              minH="26px"
              aria-label={`Remove ${t.label}`}
              onClick={() => void edit(put(entities, [table, 'tallies', t.id], undefined))}
            >
              ×
            </Action>
            {open === t.id && (
              <Pop label={`What ${t.label} counts`} onClose={() => setOpen(undefined)}>
                <ConditionEditor
                  spot={{ project, as, table: t.of, use: 'rule' }}
                  stored={t.while ?? ''}
                  lead="counts those where"
                  none="All of them"
                  onClose={() => setOpen(undefined)}
                  onSave={(stored) => {
                    setOpen(undefined);
                    void edit(put(entities, [table, 'tallies', t.id, 'while'], stored));
                  }}
                />
              </Pop>
            )}
          </Flex>
        );
      })}
      <NewTally table={table} pos={tallies.length + 1} />
    </Box>
  );
}

/** What a choice takes; how many, if it is none. */
function takeIn(value: string): Tally['take'] {
  return value === 'exists' || value === 'min' || value === 'max' ? value : 'count';
}

function NewTally({ table, pos }: { table: string; pos: number }) {
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
        aria-label="Name of a new figure"
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
        + figure
      </Action>
    </Flex>
  );
}
