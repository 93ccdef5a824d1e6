import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { type Choice, Picker } from './Picker';

interface RecordChipProps {
  project: string;
  as: string;
  table: string;
  one: string; // what one record of the table is called
  record: { key: string; title: string } | undefined;
  onRecord: (key: string, title: string) => void;
}

/** The record that the walked user stands on; another one is found by typing. */
export function RecordChip({ project, as, table, one, record, onRecord }: RecordChipProps) {
  const [open, setOpen] = useState(false);
  const [find, setFind] = useState('');
  const found = useQuery({
    queryKey: ['records', project, table, as, find],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/records/{table}', {
          params: { path: { project, table }, query: { as, q: find } },
        }),
      ),
    enabled: open,
  });
  const choices: Choice[] = (found.data ?? []).map((t) => ({ id: t.key, words: t.title }));
  return (
    <Box position="relative">
      <Box
        as="button"
        aria-haspopup="listbox"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        bg="plumSoft"
        color="plum"
        fontWeight="700"
        fontSize="note"
        px="10px"
        minH="30px"
        borderRadius="15px"
        whiteSpace="nowrap"
        cursor="pointer"
      >
        {record ? `${one} ${record.title}`.trim() : 'which record?'}
      </Box>
      {open && (
        <Picker
          label="Record to walk on"
          choices={choices}
          onType={setFind}
          filtered
          align="right"
          onClose={() => setOpen(false)}
          onChoose={(c) => {
            setOpen(false);
            onRecord(c.id, c.words);
          }}
          empty={found.isError ? 'This user may not see these records.' : 'Nothing is called that.'}
        />
      )}
    </Box>
  );
}
