import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { SharedCondition } from '../../../api/client';
import { aliasOf } from '../../../document/alias';
import { put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { dataPageOf } from '../../../document/project';
import { Action, Line } from '../../../ui/controls';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { Pop } from '../../Pop';
import { useRights } from '../context';

/** One shared condition: what it means, its name, and where it is used. */
export function ConditionCard({ condition: c }: { condition: SharedCondition }) {
  const { project, as, entities, edit, openScreen, openData } = useRights();
  const [open, setOpen] = useState(false);
  const table = entityOf(entities, c.table, 'table');
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
            onClick={() =>
              u.screen ? openScreen(u.screen, u.element) : openData(dataPageOf(entities, u.entity ?? 'conditions'))
            }
          >
            {u.words}
          </Box>
        ))}
      </Flex>
      {open && (
        <Pop label={`Condition ${c.name}`} onClose={() => setOpen(false)}>
          <ConditionEditor
            spot={{ project, as, table: c.table, use: 'shared' }}
            stored={entityOf(entities, c.id, 'condition')?.text ?? ''}
            lead="holds while"
            onClose={() => setOpen(false)}
            onSave={save}
          />
        </Pop>
      )}
    </Box>
  );
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
