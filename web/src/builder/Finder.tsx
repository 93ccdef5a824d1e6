import { Box } from '@chakra-ui/react';
import type { Draft } from '../api/client';
import { conditionsOf } from '../document/project';
import { screensOf } from '../document/screens';
import { tablesOf } from '../document/tables';
import { dataPages, wholePages } from './data/pages';
import { type Choice, Picker } from './Picker';

interface FinderProps {
  draft: Draft;
  onOpen: (screen: string) => void;
  onData: (item: string) => void;
  onClose: () => void;
}

interface Found extends Choice {
  screen?: string;
  page?: string; // of the Data view
}

/** Ctrl+K: any screen, table, shared condition or table of rights by any word of it. */
export function Finder({ draft: { entities }, onOpen, onData, onClose }: FinderProps) {
  const choices: Found[] = [
    ...screensOf(entities).map((s) => ({
      id: s.id,
      words: s.title,
      note: `${s.type} · /${s.slug}`,
      glyph: s.type,
      group: s.area || 'No area',
      screen: s.id,
    })),
    ...wholePages.map(([id, words]) => ({ id, words, group: 'The whole', page: id })),
    ...dataPages.map(([id, words]) => ({ id, words, group: 'Rights', page: id })),
    ...tablesOf(entities).map((t) => ({
      id: t.id,
      words: t.label,
      note: 'fields and rights',
      group: 'Tables',
      page: t.id,
    })),
    ...conditionsOf(entities).map((c) => ({
      id: c.id,
      words: c.name,
      note: 'shared condition',
      group: 'Conditions',
      page: 'conditions',
    })),
  ];
  return (
    <Box position="fixed" inset="0" zIndex="modal" bg="haze">
      <Box position="absolute" left="50%" top="90px" ml="-155px">
        <Picker
          label="Find a screen or table"
          choices={choices}
          onChoose={(c) => (c.screen ? onOpen(c.screen) : onData(c.page ?? 'tables'))}
          onClose={onClose}
        />
      </Box>
    </Box>
  );
}
