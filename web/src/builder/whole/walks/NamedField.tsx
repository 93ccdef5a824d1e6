import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask } from '../../../api/client';
import type { Named } from '../../../document/document.gen';
import { Action, Line, Select } from '../../../ui/controls';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { readCondition } from '../../condition/spot';
import { Pop } from '../../Pop';
import { useWhole } from '../context';

interface NamedProps {
  label: string;
  table: string;
  value: Named | undefined;
  onNamed: (named: Named | undefined) => void;
}

/** Which record: by its title, or by a condition that finds it. */
export function NamedField({ label, table, value, onNamed }: NamedProps) {
  const { project, as } = useWhole();
  const [by, setBy] = useState<'title' | 'where'>(value?.where ? 'where' : 'title');
  const [find, setFind] = useState('');
  const [open, setOpen] = useState(false);
  const id = useId();
  const spot = { project, as, table, use: 'rule' as const };
  const where = value?.where;
  const read = useQuery({
    queryKey: ['phrase', project, table, where],
    queryFn: () => readCondition(spot, { text: where }),
    enabled: Boolean(where),
  });
  const found = useQuery({
    queryKey: ['titles', project, table, as, find],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/records/{table}', {
          params: { path: { project, table }, query: { as, q: find } },
        }),
      ),
    enabled: by === 'title' && table !== '',
    placeholderData: (old) => old,
  });
  return (
    <Flex gap="4px" flex="1" minW="240px">
      <Select
        aria-label={`${label}: named by`}
        fontSize="note"
        value={by}
        onChange={(e) => {
          setBy(e.target.value === 'where' ? 'where' : 'title');
          onNamed(undefined);
        }}
      >
        <option value="title">called</option>
        <option value="where">the first of which</option>
      </Select>
      {by === 'title' ? (
        <>
          <Line
            fontSize="note"
            aria-label={label}
            list={id}
            placeholder="its title"
            value={value?.title ?? value?.key ?? ''}
            onChange={(e) => {
              setFind(e.target.value);
              onNamed(e.target.value ? { title: e.target.value } : undefined);
            }}
          />
          <datalist id={id}>
            {found.data?.map((t) => (
              <option key={t.key} value={t.title} />
            ))}
          </datalist>
        </>
      ) : (
        <Box position="relative" flex="1">
          <Action type="button" aria-label={label} onClick={() => setOpen(true)}>
            {value?.where ? (read.data?.phrase ?? value.where) : 'choose the condition …'}
          </Action>
          {open && (
            <Pop label={`${label}: the first of which`} onClose={() => setOpen(false)}>
              <ConditionEditor
                spot={spot}
                stored={value?.where ?? ''}
                lead="the first of which"
                onClose={() => setOpen(false)}
                onSave={(where) => {
                  setOpen(false);
                  onNamed(where ? { where } : undefined);
                }}
              />
            </Pop>
          )}
        </Box>
      )}
    </Flex>
  );
}
