import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { SharedCondition } from '../../api/client';
import { Action, Line, Select } from '../../ui/controls';
import { aliasOf } from '../alias';
import { ConditionEditor } from '../condition/ConditionEditor';
import { tablesOf, text } from '../document';
import { at, newId, put } from '../edit';
import { Pop } from '../Pop';
import { useRights } from './context';
import { NewLine } from './NewLine';
import { ViewHead } from './ViewHead';

/** Conditions with a name, shared by many, and where each is used. */
export function ConditionsPage() {
  const { rights } = useRights();
  return (
    <>
      <ViewHead title="Shared conditions">
        Said once, used by name: by ways, guards, row rules and each other. A change holds everywhere.
      </ViewHead>
      <Box overflowY="auto" flex="1" minH={0}>
        {rights.conditions.length === 0 && <Box color="muted">There is none yet.</Box>}
        {rights.conditions.map((c) => (
          <ConditionCard key={c.id} condition={c} />
        ))}
        <NewCondition />
      </Box>
    </>
  );
}

function ConditionCard({ condition: c }: { condition: SharedCondition }) {
  const { project, as, entities, edit, openScreen, openData } = useRights();
  const [open, setOpen] = useState(false);
  const table = tablesOf(entities).find((t) => t.id === c.table);
  const save = (stored: string | undefined) => {
    setOpen(false);
    if (stored) void edit(put(entities, [c.id, 'text'], stored));
  };
  return (
    <Box as="section" aria-label={c.name} borderBottomWidth="1px" borderColor="rule" py="12px">
      <Flex align="baseline" gap="12px">
        <NameField condition={c} />
        <Box fontSize="note" color="muted" flex="1">
          {table ? `of ${table.label.toLowerCase()}` : 'of the user'}, in expressions{' '}
          <Box as="span" fontFamily="mono">
            {table ? 'record' : 'user'}.{c.alias}
          </Box>
        </Box>
        <Action onClick={() => setOpen(true)} aria-haspopup="dialog" aria-expanded={open}>
          Change it
        </Action>
        <Action
          tone="quiet"
          disabled={c.uses.length > 0}
          title={c.uses.length > 0 ? 'It is in use' : undefined}
          onClick={() => void edit([{ op: 'remove', path: `/${c.id}` }])}
        >
          remove
        </Action>
      </Flex>
      <Box mt="2px">{c.problem ? <Box color="brick">{c.problem}</Box> : <>holds while {c.phrase}</>}</Box>
      <Flex mt="4px" gap="4px 14px" wrap="wrap" fontSize="note" color="muted">
        {c.uses.length === 0 ? 'Used nowhere.' : 'Used by'}
        {c.uses.map((u) => (
          <Box
            as="button"
            key={u.words + u.element}
            color="ink"
            fontWeight="600"
            textDecoration="underline"
            cursor="pointer"
            onClick={() => (u.screen ? openScreen(u.screen, u.element) : openData(homeOf(u.entity)))}
          >
            {u.words}
          </Box>
        ))}
      </Flex>
      {open && (
        <Pop label={`Condition ${c.name}`} onClose={() => setOpen(false)}>
          <ConditionEditor
            spot={{ project, as, table: c.table, use: 'shared' }}
            stored={text(at(entities, [c.id, 'text']))}
            lead="holds while"
            onClose={() => setOpen(false)}
            onSave={save}
          />
        </Pop>
      )}
    </Box>
  );

  /** Which page of the Data view shows an entity. */
  function homeOf(entity: string | undefined): string {
    const kind = text(entities[entity ?? ''], 'kind');
    if (kind === 'grant') return text(entities[entity ?? ''], 'table');
    return kind === 'table' ? (entity ?? 'tables') : 'conditions';
  }
}

function NameField({ condition: c }: { condition: SharedCondition }) {
  const { entities, edit } = useRights();
  const [name, setName] = useState(c.name);
  const save = () => {
    const next = name.trim();
    if (!next || next === c.name) return setName(c.name);
    void edit([...put(entities, [c.id, 'name'], next), ...put(entities, [c.id, 'alias'], aliasOf(next))]);
  };
  return (
    <Line
      aria-label={`Name of ${c.name}`}
      value={name}
      w="260px"
      fontWeight="800"
      onChange={(e) => setName(e.target.value)}
      onBlur={save}
      onKeyDown={(e) => e.key === 'Enter' && save()}
    />
  );
}

function NewCondition() {
  const { project, as, entities, rights, edit } = useRights();
  const tables = tablesOf(entities);
  const [name, setName] = useState('');
  const [table, setTable] = useState(tables[0]?.id ?? '');
  const [open, setOpen] = useState(false);
  const save = (stored: string | undefined) => {
    setOpen(false);
    if (!stored) return;
    const body = {
      kind: 'condition',
      pos: rights.conditions.length + 1,
      name: name.trim(),
      alias: aliasOf(name),
      text: stored,
      ...(table ? { table } : {}),
    };
    setName('');
    void edit([{ op: 'add', path: `/${newId('c')}`, value: body }]);
  };
  return (
    <NewLine
      label="Name of a new condition"
      hint="in service and mine"
      name={name}
      onName={setName}
      onSubmit={() => setOpen(true)}
    >
      <Box as="label" display="flex" alignItems="center" gap="6px" fontSize="note" color="muted">
        of
        <Select value={table} onChange={(e) => setTable(e.target.value)}>
          {tables.map((t) => (
            <option key={t.id} value={t.id}>
              {t.label.toLowerCase()}
            </option>
          ))}
          <option value="">the user</option>
        </Select>
      </Box>
      <Action type="submit" disabled={!name.trim()}>
        Say what it means …
      </Action>
      {open && (
        <Pop label="New condition" onClose={() => setOpen(false)}>
          <ConditionEditor
            spot={{ project, as, table: table || undefined, use: 'shared' }}
            stored=""
            lead="holds while"
            onClose={() => setOpen(false)}
            onSave={save}
          />
        </Pop>
      )}
    </NewLine>
  );
}
