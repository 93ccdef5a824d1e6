import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { entitiesOf, entityOf } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { useRights } from '../context';
import { ViewHead } from '../ViewHead';
import { EquipmentTags } from './EquipmentTags';
import { SingleValues } from './SingleValues';
import { TakeIn } from './TakeIn';
import { TakeInValues } from './TakeInValues';

/** What records and the application as a whole have in a plant, with its values as they are now; and taking in more. */
export function PlantPage() {
  const { entities } = useRights();
  const [taking, setTaking] = useState<'equipment' | 'values'>();
  const all = entitiesOf(entities, 'equipment').sort((a, b) => labelOf(a.table).localeCompare(labelOf(b.table)));
  const none = all.length === 0 && entitiesOf(entities, 'tag').length === 0;
  const close = () => setTaking(undefined);
  function labelOf(table: string) {
    return entityOf(entities, table, 'table')?.label ?? '';
  }
  return (
    <>
      <ViewHead title="Plant">Values of a plant, as they are now: those of records, and those of no record.</ViewHead>
      <Box overflowY="auto" flex="1" minH={0} pr="8px">
        {!taking && (
          <Flex gap="10px" mb="14px">
            <Action tone={none ? 'main' : 'plain'} onClick={() => setTaking('equipment')}>
              Take in equipment
            </Action>
            <Action onClick={() => setTaking('values')}>Take in single values</Action>
          </Flex>
        )}
        {taking === 'equipment' && <TakeIn onClose={close} />}
        {taking === 'values' && <TakeInValues onClose={close} />}
        {none && !taking && (
          <Box color="muted" maxW="620px">
            Nothing of a plant is in it yet. Where a plant has a folder for each lift, press or pump, these folders
            become the equipment of the records. A value that belongs to no record, the wind at the top say, is taken in
            on its own. Both can stand on screens, and decide who may go where.
          </Box>
        )}
        {all.map((e) => (
          <EquipmentTags key={e.id} equipment={e} />
        ))}
        <SingleValues />
      </Box>
    </>
  );
}
