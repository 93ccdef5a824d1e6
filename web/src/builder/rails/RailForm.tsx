import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { put } from '../../document/edit';
import { entityOf } from '../../document/parts';
import { Action, Select } from '../../ui/controls';
import { Labelled } from '../../ui/Labelled';
import { Typed } from '../../ui/Typed';
import { useBuild } from '../context';
import { Pop } from '../Pop';
import { TabRow } from '../TabRow';
import { RailDrawerLine } from './RailDrawerLine';
import { RailElements } from './RailElements';
import { RailOrder } from './RailOrder';
import { RailPlacement } from './RailPlacement';
import { TableCondition } from './TableCondition';

const tabs = ['Where it stands', 'What is on it'] as const;

/** A rail: its name and edge, the rule that says where it stands, and what is on it. */
export function RailForm({ rail, onClose }: { rail: string; onClose: () => void }) {
  const { entities, edit } = useBuild();
  const [tab, setTab] = useState<(typeof tabs)[number]>(tabs[0]);
  const [while_, setWhile] = useState<string>();
  const body = entityOf(entities, rail, 'rail');
  if (!body) return null;
  const set = (name: 'name' | 'edge', value: string) => void edit(put(entities, [rail, name], value));
  if (while_) return <TableCondition rail={rail} table={while_} onClose={() => setWhile(undefined)} />;
  return (
    <Pop label={`Rail ${body.name}`} onClose={onClose}>
      <Box p="14px" w="660px" fontSize="note" maxH="calc(100dvh - 170px)" overflowY="auto">
        <Flex gap="14px" align="flex-end" mb="10px">
          <Labelled label="Name">
            <Typed label="Name" width="170px" value={body.name} onSave={(v) => v && set('name', v)} />
          </Labelled>
          <Labelled label="Edge">
            <Select aria-label="Edge" value={body.edge} onChange={(e) => set('edge', e.target.value)}>
              {['left', 'right', 'top', 'bottom'].map((e) => (
                <option key={e}>{e}</option>
              ))}
            </Select>
          </Labelled>
          <Labelled label="Nearer to the edge than">
            <RailOrder rail={rail} edge={body.edge} />
          </Labelled>
          <Box flex="1" />
          <Action
            tone="bad"
            onClick={() => {
              onClose();
              void edit(put(entities, [rail], undefined));
            }}
          >
            Remove the rail
          </Action>
        </Flex>
        <RailDrawerLine rail={rail} drawer={body.drawer} />
        <Box mt="12px" mb="6px">
          <TabRow tabs={tabs} at={tab} onTab={setTab} />
        </Box>
        <Box role="tabpanel" aria-label={tab}>
          {tab === tabs[0] ? (
            <RailPlacement rail={rail} placed={body.placed} onWhile={setWhile} />
          ) : (
            <RailElements rail={rail} body={body} onLeave={onClose} />
          )}
        </Box>
      </Box>
    </Pop>
  );
}
