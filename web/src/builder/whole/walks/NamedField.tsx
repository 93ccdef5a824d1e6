import { Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask } from '../../../api/client';
import type { Named } from '../../../document/document.gen';
import { Line, Select } from '../../../ui/controls';
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
  const id = useId();
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
        <Line
          fontSize="note"
          fontFamily="mono"
          aria-label={label}
          placeholder='record.state == "open"'
          value={value?.where ?? ''}
          onChange={(e) => onNamed(e.target.value ? { where: e.target.value } : undefined)}
        />
      )}
    </Flex>
  );
}
