import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Line, Select } from '../../ui/controls';
import { aliasOf } from '../alias';
import { ConditionEditor } from '../condition/ConditionEditor';
import { childrenOf, tablesOf, talliesOf } from '../document';
import { newId, put } from '../edit';
import { Pop } from '../Pop';
import { useRights } from './context';

const takes: Record<string, string> = {
  count: 'how many',
  exists: 'whether there are any',
  min: 'the smallest',
  max: 'the largest',
};

/** The figures of a table: how many open defects a cabin has. Conditions and lists use them like fields. */
export function TallyList({ table }: { table: string }) {
  const { project, as, entities, edit } = useRights();
  const tables = tablesOf(entities);
  const [open, setOpen] = useState<string>();
  const tallies = talliesOf(entities, table);
  return (
    <Box fontSize="note">
      {tallies.length === 0 && <Box color="muted">There is none yet.</Box>}
      {tallies.map((t) => {
        const child = tables.find((c) => c.id === t.of);
        const field = child?.fields.find((f) => f.id === t.path);
        return (
          <Flex key={t.id} gap="8px" align="baseline" py="4px" borderBottomWidth="1px" borderColor="rule">
            <Box flex="1">
              <b>{t.label}</b>:{' '}
              <Box as="span" color="muted">
                {takes[t.take] ?? t.take} {field ? `${field.label.toLowerCase()} of ` : ''}
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
                  stored={t.while}
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

function NewTally({ table, pos }: { table: string; pos: number }) {
  const { entities, edit } = useRights();
  const children = childrenOf(entities, table);
  const [label, setLabel] = useState('');
  const [take, setTake] = useState('count');
  const [of, setOf] = useState(children[0] ? `${children[0].table}.${children[0].field}` : '');
  const [path, setPath] = useState('');
  if (children.length === 0) return null;
  const [child = '', by = ''] = of.split('.');
  const fields = tablesOf(entities).find((t) => t.id === child)?.fields ?? [];
  const sized = fields.filter((f) => ['whole', 'decimal', 'number', 'date', 'moment'].includes(f.type));
  const ofField = take === 'min' || take === 'max';
  const chosen = path || sized[0]?.id || '';
  const add = () => {
    const tally = {
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
      <Select aria-label="What it takes" value={take} onChange={(e) => setTake(e.target.value)} fontSize="note">
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
