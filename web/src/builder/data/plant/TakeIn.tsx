import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { PlantTree } from '../../../administer/PlantTree';
import { wordsOf } from '../../../administer/problems';
import { Told } from '../../../administer/Told';
import { api, ask } from '../../../api/client';
import { Action, Select } from '../../../ui/controls';
import { Waiting } from '../../../ui/Message';
import { useRights } from '../context';
import { EquipmentProposal } from './EquipmentProposal';

/** Finding the folders of a plant that are one piece of equipment each. */
export function TakeIn({ onClose }: { onClose: () => void }) {
  const { project } = useRights();
  const names = useQuery({
    queryKey: ['plants', project],
    queryFn: () => ask(api.GET('/api/build/{project}/plants', { params: { path: { project } } })),
  });
  const plants = names.data ?? [];
  const [plant, setPlant] = useState('');
  const [path, setPath] = useState<string>();
  const over = plants.find((p) => p === plant) ?? plants[0];
  return (
    <Box borderWidth="1px" borderColor="rule" borderRadius="4px" bg="plate" p="14px 16px" mb="22px" maxW="900px">
      <Flex align="center" gap="10px" mb="10px">
        <Box as="h2" fontWeight="800">
          Take in equipment
        </Box>
        {over && (
          <Select aria-label="Plant" value={over} onChange={(e) => [setPlant(e.target.value), setPath(undefined)]}>
            {plants.map((p) => (
              <option key={p} value={p}>
                {p}
              </option>
            ))}
          </Select>
        )}
        <Box flex="1" />
        <Action onClick={onClose}>Close</Action>
      </Flex>
      {names.isPending && <Waiting what="Asking the plants …" />}
      <Told words={wordsOf(names.error)} />
      {names.data && !over && (
        <Box color="muted">
          There is no plant to take from: who administers this program adds one under <b>Connections</b>, and who builds
          applications everywhere takes in the first equipment of it.
        </Box>
      )}
      {over && path === undefined && (
        <>
          <Box color="muted" fontSize="note" mb="8px">
            Find the folder that holds a folder for each of them: for each lift, press or pump.
          </Box>
          <PlantTree
            connection={over}
            ask={(query) =>
              ask(
                api.GET('/api/build/{project}/plants/{connection}/nodes', {
                  params: { path: { project, connection: over }, query },
                }),
              )
            }
            action={(n) =>
              n.folder && (
                <Action aria-label={`The folders in ${n.name}`} onClick={() => setPath(n.path)}>
                  the folders in it
                </Action>
              )
            }
          />
        </>
      )}
      {over && path !== undefined && (
        <EquipmentProposal connection={over} path={path} onOther={() => setPath(undefined)} onDone={onClose} />
      )}
    </Box>
  );
}
