import { Box, Flex } from '@chakra-ui/react';
import type { Draft } from '../api/client';
import { entityOf } from '../document/parts';
import { recordTable, type ScreenDoc } from '../document/screens';
import { Select } from '../ui/controls';
import { RecordChip } from './RecordChip';
import { WhoOptions } from './WhoOptions';

interface WalkingAsProps {
  project: string;
  draft: Draft;
  screen: ScreenDoc | undefined;
  as: string;
  record: { key: string; title: string } | undefined;
  onWho: (as: string) => void;
  onRecord: (key: string) => void;
}

/** Whose eyes the builder looks through, and on which record. */
export function WalkingAs({ project, draft, screen, as, record, onWho, onRecord }: WalkingAsProps) {
  const table = recordTable(screen);
  return (
    <Flex align="center" gap="6px" flexShrink={0}>
      <Box as="label" fontSize="note" color="muted" display="flex" alignItems="center" gap="6px" whiteSpace="nowrap">
        as
        <Select
          aria-label="Walking as"
          value={as}
          onChange={(e) => onWho(e.target.value)}
          fontWeight="700"
          fontSize="note"
          minH="30px"
          maxW="174px"
        >
          <WhoOptions draft={draft} />
        </Select>
      </Box>
      {table && (
        <RecordChip
          project={project}
          as={as}
          table={table}
          one={entityOf(draft.entities, table, 'table')?.one ?? ''}
          record={record}
          onRecord={onRecord}
        />
      )}
    </Flex>
  );
}
