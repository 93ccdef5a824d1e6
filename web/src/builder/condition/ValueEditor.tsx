import { Flex } from '@chakra-ui/react';
import type { NameInfo } from '../../api/client';
import { Select } from '../../ui/controls';
import { alone, takesMany } from './compares';
import { dayKind, dayKinds, firstOf } from './days';
import { ManyValues } from './ManyValues';
import { OneValue } from './OneValue';
import type { ValueProps } from './value';

/** What a row compares with: a value fitting its type, a day counted from today, or another field. */
export function ValueEditor(p: ValueProps) {
  const { row, name, onChange } = p;
  if (alone(row.compare)) return null;
  if (takesMany(row.compare)) return <ManyValues {...p} />;
  const others = name?.choices || name?.kind === 'roles' ? [] : p.names.filter((n) => comparable(n, name));
  const dated = name?.type === 'date' || name?.type === 'moment';
  const how = row.with ? `with:${row.with}` : dated ? dayKind(row.value ?? '') : 'value';
  const choose = (kind: string) => {
    if (kind.startsWith('with:')) return onChange({ path: row.path, compare: row.compare, with: kind.slice(5) });
    onChange({ path: row.path, compare: row.compare, value: dated ? firstOf(kind) : '' });
  };
  return (
    <Flex align="center" gap="6px" flexShrink={0}>
      {(others.length > 0 || dated) && (
        <Select
          aria-label="Compared with"
          value={how}
          onChange={(e) => choose(e.target.value)}
          maxW="200px"
          fontSize="note"
        >
          {dated ? (
            dayKinds.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))
          ) : (
            <option value="value">{name?.type === 'record' ? 'this one' : 'this'}</option>
          )}
          {others.map((n) => (
            <option key={n.path} value={`with:${n.path}`}>
              {n.path === 'user.record' ? n.words : `${n.words} of ${n.of}`}
            </option>
          ))}
        </Select>
      )}
      {!row.with && <OneValue {...p} />}
    </Flex>
  );
}

/** Whether two names can be compared with each other. */
function comparable(n: NameInfo, to: NameInfo | undefined): boolean {
  if (!to || n.path === to.path || n.kind === 'shared' || n.choices) return false;
  if (to.type === 'record') return n.type === 'record' && n.table === to.table;
  const number = (t: string) => t === 'whole' || t === 'decimal' || t === 'number';
  return n.type === to.type || (number(n.type) && number(to.type));
}
