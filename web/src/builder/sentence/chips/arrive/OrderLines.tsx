import { Flex } from '@chakra-ui/react';
import type { FieldDoc } from '../../../../document/tables';
import { Action, Select } from '../../../../ui/controls';
import { descending } from '../../../descending';

export interface Ordering {
  path: string;
  desc: boolean;
}

interface LinesProps {
  fields: FieldDoc[];
  sorts: Ordering[];
  onSorts: (sorts: Ordering[]) => void;
}

/** The fields that a list is ordered by, the first one first. */
export function OrderLines({ fields, sorts, onSorts }: LinesProps) {
  return sorts.map((s, i) => (
    <Flex key={s.path} gap="6px" align="center" w="full">
      {i === 0 ? 'ordered by' : 'then by'}
      <Select
        aria-label="Order"
        value={s.path}
        onChange={(e) => onSorts(sorts.map((x) => (x === s ? { ...s, path: e.target.value } : x)))}
      >
        {!fields.some((f) => f.id === s.path) && <option value={s.path}>a field further away</option>}
        {fields
          .filter((f) => f.id === s.path || !sorts.some((x) => x.path === f.id))
          .map((f) => (
            <option key={f.id} value={f.id}>
              {f.label.toLowerCase()}
            </option>
          ))}
      </Select>
      <Flex as="label" gap="6px" align="center">
        <input
          type="checkbox"
          checked={s.desc}
          onChange={(e) => onSorts(sorts.map((x) => (x === s ? { ...s, desc: e.target.checked } : x)))}
        />
        {descending(fields.find((f) => f.id === s.path))}
      </Flex>
      <Action
        type="button"
        tone="quiet"
        aria-label="Remove this order"
        onClick={() => onSorts(sorts.filter((x) => x !== s))}
      >
        remove
      </Action>
    </Flex>
  ));
}
