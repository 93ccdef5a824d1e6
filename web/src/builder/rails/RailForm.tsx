import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Select } from '../../ui/controls';
import { ConditionEditor } from '../condition/ConditionEditor';
import { useBuild } from '../context';
import { text } from '../document';
import { at, type Json, put } from '../edit';
import { Pop } from '../Pop';
import { Labelled } from '../sentence/Labelled';
import { Typed } from '../sentence/Typed';
import { TabRow } from '../TabRow';
import { RailElements } from './RailElements';
import { RailPlacement } from './RailPlacement';

const tabs = ['Where it stands', 'What is on it'] as const;

/** A rail: its name and edge, the rule that says where it stands, and what is on it. */
export function RailForm({ rail, onClose }: { rail: string; onClose: () => void }) {
  const { entities, edit } = useBuild();
  const [tab, setTab] = useState<(typeof tabs)[number]>(tabs[0]);
  const [while_, setWhile] = useState<string>();
  const body = entities[rail];
  if (body === undefined) return null;
  const put_ = (path: string[], value: Json | undefined) => void edit(put(entities, [rail, ...path], value));
  if (while_) return <TableCondition rail={rail} table={while_} onClose={() => setWhile(undefined)} />;
  const edge = text(body, 'edge');
  return (
    <Pop label={`Rail ${text(body, 'name')}`} onClose={onClose}>
      <Box p="14px" w="660px" fontSize="note">
        <Flex gap="14px" align="flex-end" mb="10px">
          <Labelled label="Name">
            <Typed label="Name" width="170px" value={text(body, 'name')} onSave={(v) => v && put_(['name'], v)} />
          </Labelled>
          <Labelled label="Edge">
            <Select aria-label="Edge" value={edge} onChange={(e) => put_(['edge'], e.target.value)}>
              {['left', 'right', 'top', 'bottom'].map((e) => (
                <option key={e}>{e}</option>
              ))}
            </Select>
          </Labelled>
          <Labelled label="Nearer to the edge than">
            <Order rail={rail} edge={edge} />
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
        <DrawerLine rail={rail} />
        <Box mt="12px" mb="6px">
          <TabRow tabs={tabs} at={tab} onTab={setTab} />
        </Box>
        <Box role="tabpanel" aria-label={tab}>
          {tab === tabs[0] ? (
            <RailPlacement rail={rail} onWhile={setWhile} />
          ) : (
            <RailElements rail={rail} onLeave={onClose} />
          )}
        </Box>
      </Box>
    </Pop>
  );
}

/** Whether it is fixed or comes when it is asked for, and by what. */
function DrawerLine({ rail }: { rail: string }) {
  const { entities, edit } = useBuild();
  const drawer = at(entities, [rail, 'drawer']);
  const set = (path: string[], value: Json | undefined) => void edit(put(entities, [rail, 'drawer', ...path], value));
  const says = (name: string) => at(drawer, [name]) === true;
  return (
    <Flex gap="14px" align="center" wrap="wrap">
      <Select
        aria-label="Fixed or a drawer"
        value={drawer === undefined ? 'fixed' : 'drawer'}
        onChange={(e) => set([], e.target.value === 'drawer' ? { pull: true } : undefined)}
      >
        <option value="fixed">fixed: always there</option>
        <option value="drawer">a drawer: when asked for</option>
      </Select>
      {drawer !== undefined && (
        <>
          opened by buttons, and by
          <Tick
            words="a tab at the edge"
            on={says('pull')}
            onTick={() => set(['pull'], says('pull') ? undefined : true)}
          />
          <Tick
            words="a touch at the edge"
            on={says('touch')}
            onTick={() => set(['touch'], says('touch') ? undefined : true)}
          />
          <Flex as="label" gap="6px" align="center">
            size
            <Typed
              label="Size"
              width="70px"
              hint="as needed"
              value={String(at(drawer, ['size']) ?? '')}
              onSave={(v) => set(['size'], Number(v) > 0 ? Math.round(Number(v)) : undefined)}
            />
          </Flex>
        </>
      )}
    </Flex>
  );
}

/** Which of the rails of one edge stands outermost: it is put before another, or last. */
function Order({ rail, edge }: { rail: string; edge: string }) {
  const { entities, edit } = useBuild();
  const pos = (id: string) => Number(at(entities, [id, 'pos']) ?? 0);
  const others = Object.entries(entities)
    .filter(([id, e]) => id !== rail && text(e, 'kind') === 'rail' && text(e, 'edge') === edge)
    .sort(([a], [b]) => pos(a) - pos(b));
  const next = others.find(([id]) => pos(id) > pos(rail))?.[0] ?? '';
  const before = (id: string) => {
    const i = id ? others.findIndex(([o]) => o === id) : others.length;
    const low = i > 0 ? pos(others[i - 1]?.[0] ?? '') : pos(others[0]?.[0] ?? '') - 2;
    const high = id ? pos(id) : low + 2;
    void edit(put(entities, [rail, 'pos'], (low + high) / 2));
  };
  return (
    <Select
      aria-label="Nearer to the edge than"
      value={next}
      disabled={others.length === 0}
      onChange={(e) => before(e.target.value)}
    >
      {others.map(([id, r]) => (
        <option key={id} value={id}>
          {text(r, 'name')}
        </option>
      ))}
      <option value="">{others.length === 0 ? 'no other is there' : 'none: it is innermost'}</option>
    </Select>
  );
}

/** A box that is ticked or not, with its words. */
export function Tick({ words, on, onTick }: { words: string; on: boolean; onTick: () => void }) {
  return (
    <Flex as="label" gap="5px" align="center" minH="26px" cursor="pointer">
      <input type="checkbox" checked={on} onChange={onTick} />
      {words}
    </Flex>
  );
}

function TableCondition({ rail, table, onClose }: { rail: string; table: string; onClose: () => void }) {
  const { project, as, entities, edit } = useBuild();
  const path = [rail, 'placed', 'tables', table];
  return (
    <Pop label="Only while" onClose={onClose}>
      <ConditionEditor
        spot={{ project, as, table, use: 'shared' }}
        stored={text(at(entities, path))}
        none="On all of them"
        share={undefined}
        onClose={onClose}
        onSave={(stored) => {
          onClose();
          void edit(put(entities, path, stored ?? ''));
        }}
      />
    </Pop>
  );
}
