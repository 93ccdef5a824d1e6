import { Box, Flex } from '@chakra-ui/react';
import type { WalkStep } from '../../../document/document.gen';
import { entityOf } from '../../../document/parts';
import { recordTable, screenOf } from '../../../document/screens';
import { fieldsOf } from '../../../document/tables';
import { Action, Line, Select } from '../../../ui/controls';
import { useWhole } from '../context';

interface TypeProps {
  step: WalkStep;
  onChange: (more: Partial<WalkStep>) => void;
}

/** What is typed into which fields of a form. */
export function TypeFields({ step, onChange }: TypeProps) {
  const { draft } = useWhole();
  const table = entityOf(draft.entities, recordTable(screenOf(draft.entities, step.screen)), 'table');
  const fields = fieldsOf(table).filter((f) => !f.readOnly);
  const values = step.values ?? {};
  const free = fields.filter((f) => !(f.id in values));
  const put = (field: string, to: string | undefined) => {
    const next = { ...values };
    if (to === undefined) delete next[field];
    else next[field] = to;
    onChange({ values: next });
  };
  if (!table) return <Box fontSize="note">Choose a screen with a form.</Box>;
  return (
    <Flex direction="column" gap="6px">
      {Object.entries(values).map(([field, value]) => {
        const label = table.fields[field]?.label ?? 'a field that is gone';
        return (
          <Flex key={field} gap="8px" align="center">
            <Box w="110px" flexShrink={0} fontSize="note" color="muted">
              {label}
            </Box>
            <Line fontSize="note" aria-label={label} value={value} onChange={(e) => put(field, e.target.value)} />
            <Action type="button" tone="quiet" aria-label={`not into ${label}`} onClick={() => put(field, undefined)}>
              ×
            </Action>
          </Flex>
        );
      })}
      {free.length > 0 && (
        <Select
          aria-label="Into which field"
          fontSize="note"
          alignSelf="flex-start"
          value=""
          onChange={(e) => put(e.target.value, '')}
        >
          <option value="">+ into a field …</option>
          {free.map((f) => (
            <option key={f.id} value={f.id}>
              {f.label}
            </option>
          ))}
        </Select>
      )}
    </Flex>
  );
}
