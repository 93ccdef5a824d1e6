import { Box, Flex } from '@chakra-ui/react';
import { entitiesOf, entityOf } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';

/** What the records of a table are called; and the table let go. */
export function TableWords({ table }: { table: string }) {
  const { entities, edit, openData } = useRights();
  const own = entityOf(entities, table, 'table');
  if (!own) return null;
  const set = (member: 'label' | 'one', value: string) =>
    value && void edit([{ op: 'replace', path: `/${table}/${member}`, value }]);
  const remove = async () => {
    const grants = entitiesOf(entities, 'grant').filter((g) => g.table === table);
    await edit([
      ...grants.map((g) => ({ op: 'remove' as const, path: `/${g.id}` })),
      { op: 'remove', path: `/${table}` },
    ]);
    openData('tables');
  };
  return (
    <Flex align="center" gap="6px" mb="16px" wrap="wrap">
      <span>They are called</span>
      <Typed label="What its records are called" width="170px" value={own.label} onSave={(v) => set('label', v)} />
      <span>and one of them a</span>
      <Typed label="What one record is called" width="150px" value={own.one} onSave={(v) => set('one', v)} />
      <Box flex="1" />
      <Action
        tone="bad"
        onClick={() => void remove()}
        title="What it is used for is told by the findings; undo brings it back"
      >
        Remove the table
      </Action>
    </Flex>
  );
}
