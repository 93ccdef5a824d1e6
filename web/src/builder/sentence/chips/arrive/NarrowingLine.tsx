import { Box, Flex } from '@chakra-ui/react';
import { languageOf } from '../../../../document/project';
import type { FieldDoc } from '../../../../document/tables';
import { Action, Line, Select } from '../../../../ui/controls';
import { DateInput } from '../../../../ui/dates/DateInput';
import { useBuild } from '../../../context';
import { RecordChip } from '../../../RecordChip';
import { useRecords } from '../../../useRecords';
import { howsOf, type Narrowing, takesOf } from './narrowing';

interface LineProps {
  lead: string;
  fields: FieldDoc[];
  line: Narrowing;
  project: string;
  onLine: (n: Narrowing) => void;
  onRemove: () => void;
}

/** A field, how it is compared, and with what. */
export function NarrowingLine({ lead, fields, line, project, onLine, onRemove }: LineProps) {
  const { as, entities } = useBuild();
  const f = fields.find((x) => x.id === line.path);
  const takes = takesOf(f, line.how);
  const hows = howsOf(f);
  const kept = useRecords({
    project,
    as,
    table: f?.references ?? '',
    key: line.value,
    enabled: takes === 'record' && line.value !== '',
  });
  const choices = f?.type === 'yesno' ? ['true', 'false'] : (f?.choices ?? []);
  const field = (path: string) => {
    const next = fields.find((x) => x.id === path);
    onLine({ path, how: howsOf(next)[0]?.[0] ?? 'is', value: '' });
  };
  return (
    <Flex gap="6px" align="center" wrap="wrap" w="full">
      {lead}
      <Select aria-label="Field" autoFocus value={line.path} onChange={(e) => field(e.target.value)}>
        {!f && <option value={line.path}>a field further away</option>}
        {fields.map((x) => (
          <option key={x.id} value={x.id}>
            {x.label.toLowerCase()}
          </option>
        ))}
      </Select>
      <Select aria-label="How" value={line.how} onChange={(e) => onLine({ ...line, how: e.target.value })}>
        {!hows.some(([id]) => id === line.how) && <option value={line.how}>{line.how}</option>}
        {hows.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
      {takes === 'choice' && (
        <Select aria-label="Value" value={line.value} onChange={(e) => onLine({ ...line, value: e.target.value })}>
          {line.value === '' && <option value="">choose</option>}
          {choices.map((c) => (
            <option key={c} value={c}>
              {{ true: 'yes', false: 'no' }[c] ?? c}
            </option>
          ))}
        </Select>
      )}
      {takes === 'record' && f?.references && (
        <RecordChip
          project={project}
          as={as}
          table={f.references}
          one=""
          record={line.value ? { key: line.value, title: kept.data?.[0]?.title ?? line.value } : undefined}
          label="Which record"
          onRecord={(value) => onLine({ ...line, value })}
        />
      )}
      {takes === 'day' && (
        <Box w="170px">
          <DateInput
            input={{ 'aria-label': 'Value', label: 'the value' }}
            language={languageOf(entities)}
            value={line.value}
            onValue={(value) => onLine({ ...line, value })}
          />
        </Box>
      )}
      {(takes === 'days' || takes === 'text') && (
        <Box w={takes === 'days' ? '64px' : '170px'}>
          <Line
            aria-label="Value"
            inputMode={takes === 'days' ? 'numeric' : undefined}
            value={line.value}
            onChange={(e) => onLine({ ...line, value: e.target.value })}
          />
        </Box>
      )}
      {f?.unit && takes === 'text' && f.unit}
      <Action type="button" tone="quiet" aria-label="Remove this line" onClick={onRemove}>
        remove
      </Action>
    </Flex>
  );
}
