import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { talliesOf } from '../../../document/tables';
import { Action } from '../../../ui/controls';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { Pop } from '../../Pop';
import { useRights } from '../context';
import { NewTally } from './NewTally';
import { takesWords } from './takes';

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
                {takesWords(t.take, field?.type)} {field ? `${field.label.toLowerCase()} of ` : ''}
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
