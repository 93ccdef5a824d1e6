import { Box, Flex } from '@chakra-ui/react';
import type { Table } from '../../../document/document.gen';
import { newId, put } from '../../../document/edit';
import { entityOf, inOrder, posBehind } from '../../../document/parts';
import { fieldsOf } from '../../../document/tables';
import { Action, Select } from '../../../ui/controls';
import { useRights } from '../context';

/** What tells one record of a table from another, and in which order they come. */
export function TableTelling({ table }: { table: string }) {
  const { entities } = useRights();
  const own = entityOf(entities, table, 'table');
  if (!own) return null;
  return (
    <Flex gap="8px 24px" wrap="wrap" mb="16px">
      <Title table={table} own={own} />
      <Order table={table} own={own} />
    </Flex>
  );
}

/** Choose what one record is called by. A title of several parts is kept as it is until another is chosen. */
function Title({ table, own }: { table: string; own: Table }) {
  const { entities, edit } = useRights();
  const fields = fieldsOf(own).filter((f) => f.type !== 'picture' && f.type !== 'json' && !f.long);
  const plain = fields.find((f) => own.title === `{record.${f.id}}` || own.title === `{record.${f.alias}}`);
  const words = fields.reduce(
    (text, f) => text.replaceAll(`{record.${f.id}}`, `‹${f.label}›`).replaceAll(`{record.${f.alias}}`, `‹${f.label}›`),
    own.title,
  );
  return (
    <Flex align="center" gap="6px">
      <span>A record is called by its</span>
      <Select
        aria-label="What tells a record"
        value={plain?.id ?? ''}
        onChange={(e) => e.target.value && void edit(put(entities, [table, 'title'], `{record.${e.target.value}}`))}
      >
        {!plain && <option value="">{words}</option>}
        {fields.map((f) => (
          <option key={f.id} value={f.id}>
            {f.label}
          </option>
        ))}
      </Select>
    </Flex>
  );
}

/** The order in which records come where nothing else is said: by one field, then by another. */
function Order({ table, own }: { table: string; own: Table }) {
  const { entities, edit } = useRights();
  const parts = inOrder(own.order);
  const fields = fieldsOf(own).filter((f) => !['picture', 'json'].includes(f.type));
  const change = (path: string[], value: string | boolean | object | undefined) =>
    void edit(put(entities, [table, 'order', ...path], value));
  return (
    <Flex align="center" gap="6px" wrap="wrap">
      <span>They come in order of</span>
      {parts.map((o, i) => (
        <Flex key={o.id} align="center" gap="4px">
          {i > 0 && <span>then</span>}
          <Select aria-label={`Order ${i + 1}`} value={o.path} onChange={(e) => change([o.id, 'path'], e.target.value)}>
            {!fields.some((f) => f.id === o.path) && <option value={o.path}>as it was made</option>}
            {fields.map((f) => (
              <option key={f.id} value={f.id}>
                {f.label}
              </option>
            ))}
          </Select>
          <Action
            aria-label={`Order ${i + 1} ${o.desc ? 'greatest first' : 'least first'}: turn`}
            onClick={() => change([o.id, 'desc'], o.desc ? undefined : true)}
          >
            {o.desc ? 'greatest first' : 'least first'}
          </Action>
          <Action tone="quiet" aria-label={`Remove order ${i + 1}`} onClick={() => change([o.id], undefined)}>
            Remove
          </Action>
        </Flex>
      ))}
      {parts.length === 0 && <Box color="muted">their key</Box>}
      <Select
        aria-label={parts.length === 0 ? 'Order by' : 'Then by'}
        value=""
        onChange={(e) => e.target.value && change([newId('o')], { pos: posBehind(parts), path: e.target.value })}
      >
        <option value="">{parts.length === 0 ? 'another order' : '+ then by'}</option>
        {fields
          .filter((f) => !parts.some((o) => o.path === f.id))
          .map((f) => (
            <option key={f.id} value={f.id}>
              {f.label}
            </option>
          ))}
      </Select>
    </Flex>
  );
}
