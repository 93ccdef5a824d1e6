import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { PlantTree } from '../../../administer/connections/PlantTree';
import { wordsOf } from '../../../administer/problems';
import { Told } from '../../../administer/Told';
import { api, ask, type PlantNode } from '../../../api/client';
import { Action, Select } from '../../../ui/controls';
import { Waiting } from '../../../ui/Message';
import { useRights } from '../context';

interface FromPlantProps {
  title: string;
  /** What is to be found in the plant. */
  find: string;
  action: (node: PlantNode, connection: string) => React.ReactNode;
  /** What stands instead of the tree, once something was chosen in it. */
  instead?: (connection: string) => React.ReactNode;
  onOther?: () => void;
  onClose: () => void;
  children?: React.ReactNode;
}

/** The frame in which things are taken from a plant: which plant, and what it has. */
export function FromPlant({ title, find, action, instead, onOther, onClose, children }: FromPlantProps) {
  const { project } = useRights();
  const names = useQuery({
    queryKey: ['plants', project],
    queryFn: () => ask(api.GET('/api/build/{project}/plants', { params: { path: { project } } })),
  });
  const plants = names.data ?? [];
  const [plant, setPlant] = useState('');
  const over = plants.find((p) => p === plant) ?? plants[0];
  return (
    <Box borderWidth="1px" borderColor="rule" borderRadius="4px" bg="plate" p="14px 16px" mb="22px" maxW="900px">
      <Flex align="center" gap="10px" mb="10px">
        <Box as="h2" fontWeight="800">
          {title}
        </Box>
        {over && (
          <Select aria-label="Plant" value={over} onChange={(e) => [setPlant(e.target.value), onOther?.()]}>
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
          applications everywhere takes in the first of it.
        </Box>
      )}
      {over && !instead && (
        <>
          <Box color="muted" fontSize="note" mb="8px">
            {find}
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
            action={(n) => action(n, over)}
          />
        </>
      )}
      {over && instead?.(over)}
      {children}
    </Box>
  );
}
