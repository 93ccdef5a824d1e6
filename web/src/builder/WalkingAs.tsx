import { Box, Flex } from '@chakra-ui/react';
import type { Draft } from '../api/client';
import { Select } from '../ui/controls';
import { entitiesOf, recordTable, rolesOf, type ScreenDoc, tablesOf } from './document';
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
        Walking as
        <Select
          value={as}
          onChange={(e) => onWho(e.target.value)}
          fontWeight="700"
          fontSize="note"
          minH="30px"
          maxW="176px"
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
            {rolesOf(entitiesOf(draft)).map((r) => (
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
          one={tablesOf(entitiesOf(draft)).find((t) => t.id === table)?.one ?? ''}
          record={record}
          onRecord={onRecord}
        />
      )}
    </Flex>
  );
}
