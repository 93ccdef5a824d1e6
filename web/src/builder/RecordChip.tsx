import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { type Choice, Picker } from './Picker';
import { useRecords } from './useRecords';

interface RecordChipProps {
  project: string;
  as: string;
  table: string;
  one: string; // what one record of the table is called
  record: { key: string; title: string } | undefined;
  label?: string;
  onRecord: (key: string, title: string) => void;
}

/** The record that the walked user stands on; another one is found by typing. */
export function RecordChip({ project, as, table, one, record, label, onRecord }: RecordChipProps) {
  const [open, setOpen] = useState(false);
  const [find, setFind] = useState('');
  const found = useRecords({ project, as, table, find, enabled: open });
  const choices: Choice[] = (found.data ?? []).map((t) => ({ id: t.key, words: t.title }));
  return (
    <Box position="relative">
      <chakra.button
        type="button"
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
        maxW="220px"
        overflow="hidden"
        textOverflow="ellipsis"
        whiteSpace="nowrap"
        cursor="pointer"
      >
        {record ? `${one} ${record.title}`.trim() : 'which record?'}
      </chakra.button>
      {open && (
        <Picker
          label={label ?? 'Record to walk on'}
          choices={choices}
          onType={setFind}
          filtered
          coming={found.isPending}
          align="right"
          onClose={() => setOpen(false)}
          onChoose={(c) => {
            setOpen(false);
            onRecord(c.id, c.words);
          }}
          empty={found.isError ? 'This user may not see these records.' : 'Nothing found by that name.'}
        />
      )}
    </Box>
  );
}
