import { Box, Flex } from '@chakra-ui/react';
import type { Draft } from '../api/client';
import { entityOf } from '../document/parts';
import { rolesOf } from '../document/project';
import { recordTable, type ScreenDoc } from '../document/screens';
import { Select } from '../ui/controls';
import { RecordChip } from './RecordChip';

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
          {draft.walks && (
            <optgroup label="People">
              {draft.people
                .filter((p) => p.roles.length > 0)
                .map((p) => (
                  <option key={p.id} value={p.id}>
                    {p.name}, {p.roles.join(', ').toLowerCase()}
                  </option>
                ))}
            </optgroup>
          )}
          <optgroup label="Anybody with one role">
            {rolesOf(draft.entities).map((r) => (
              <option key={r.id} value={`role:${r.id}`}>
                any {r.name.toLowerCase()}
              </option>
            ))}
          </optgroup>
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
