import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { entitiesOf, entityOf } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { useRights } from '../context';
import { ViewHead } from '../ViewHead';
import { EquipmentTags } from './EquipmentTags';
import { TakeIn } from './TakeIn';

/** What the records of tables have in a plant, with its values as they are now; and taking in more. */
export function PlantPage() {
  const { entities } = useRights();
  const [taking, setTaking] = useState(false);
  const all = entitiesOf(entities, 'equipment').sort((a, b) => labelOf(a.table).localeCompare(labelOf(b.table)));
  function labelOf(table: string) {
    return entityOf(entities, table, 'table')?.label ?? '';
  }
  return (
    <>
      <ViewHead title="Equipment">What records have in a plant, with its values as they are now.</ViewHead>
      <Box overflowY="auto" flex="1" minH={0} pr="8px">
        {!taking && (
          <Action tone={all.length === 0 ? 'main' : 'plain'} mb="14px" onClick={() => setTaking(true)}>
            Take in equipment
          </Action>
        )}
        {taking && <TakeIn onClose={() => setTaking(false)} />}
        {all.length === 0 && !taking && (
          <Box color="muted" maxW="620px">
            No record has anything in a plant yet. Where a plant has a folder for each lift, press or pump, these
            folders become the equipment of the records: their values can stand on screens, and decide who may go where.
          </Box>
        )}
        {all.map((e) => (
          <EquipmentTags key={e.id} equipment={e} />
        ))}
      </Box>
    </>
  );
}
