import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Select } from '../../ui/controls';
import { ConditionEditor } from '../condition/ConditionEditor';
import { useBuild } from '../context';
import { rolesOf, screensOf, tablesOf, text } from '../document';
import { at, type Json, newId, put } from '../edit';
import { Pop } from '../Pop';
import { Labelled } from './LookTab';
import { Typed } from './Typed';

const kinds = ['menu', 'list', 'form', 'dashboard', 'operator', 'notice'];

/** A rail: its name and edge, and the rule that says on which screens, records and for whom it stands. */
export function RailForm({ rail, onClose }: { rail: string; onClose: () => void }) {
  const { entities, edit, choose } = useBuild();
  const [while_, setWhile] = useState<string>();
  const body = entities[rail];
  if (body === undefined) return null;
  const placed = (name: string) => at(body, ['placed', name]) as Record<string, Json> | undefined;
  const put_ = (path: string[], value: Json | undefined) => void edit(put(entities, [rail, ...path], value));
  /** Ticks one of a set; an empty set means that there is no such rule. */
  const tick = (name: string, id: string, value: Json) => {
    const now = { ...placed(name) };
    if (id in now) delete now[id];
    else now[id] = value;
    put_(['placed', name], Object.keys(now).length > 0 ? now : undefined);
  };
  const tables = placed('tables') ?? {};
  if (while_) return <TableCondition rail={rail} table={while_} onClose={() => setWhile(undefined)} />;
  const add = async () => {
    const id = newId('e');
    const pos = Object.keys((at(body, ['elements']) as object | undefined) ?? {}).length + 1;
    await edit(
      put(entities, [rail, 'elements', id], {
        kind: 'button',
        pos,
        cell: { row: pos, col: 1, w: 12 },
        words: 'New button',
        gate: {},
      }),
    );
    onClose();
    choose(id);
  };
  return (
    <Pop label={`Rail ${text(body, 'name')}`} onClose={onClose}>
      <Box p="14px" w="620px" fontSize="note">
        <Flex gap="14px" align="flex-end" mb="10px">
          <Labelled label="Name">
            <Typed label="Name" width="170px" value={text(body, 'name')} onSave={(v) => v && put_(['name'], v)} />
          </Labelled>
          <Labelled label="Edge">
            <Select aria-label="Edge" value={text(body, 'edge')} onChange={(e) => put_(['edge'], e.target.value)}>
              {['left', 'right', 'top', 'bottom'].map((e) => (
                <option key={e}>{e}</option>
              ))}
            </Select>
          </Labelled>
          <Action onClick={() => void add()}>+ a button on it</Action>
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
        <Box color="muted" mb="6px">
          It stands where every line that says something holds.
        </Box>
        <Rule label="on kinds of screens">
          {kinds.map((k) => (
            <Tick key={k} words={k} on={k in (placed('kinds') ?? {})} onTick={() => tick('kinds', k, true)} />
          ))}
        </Rule>
        <Rule label="on records of">
          {tablesOf(entities).map((t) => (
            <Flex key={t.id} gap="4px" align="center">
              <Tick words={t.label.toLowerCase()} on={t.id in tables} onTick={() => tick('tables', t.id, '')} />
              {t.id in tables && (
                <Action tone="quiet" minH="24px" onClick={() => setWhile(t.id)}>
                  {tables[t.id] ? 'while …' : 'all of them'}
                </Action>
              )}
            </Flex>
          ))}
        </Rule>
        <Rule label="for">
          {rolesOf(entities).map((r) => (
            <Tick
              key={r.id}
              words={r.name}
              on={r.id in (placed('roles') ?? {})}
              onTick={() => tick('roles', r.id, true)}
            />
          ))}
        </Rule>
        <Rule label="except on">
          <Select
            aria-label="Except on"
            value=""
            onChange={(e) => e.target.value && tick('except', e.target.value, true)}
          >
            <option value="">choose a screen</option>
            {screensOf(entities).map((s) => (
              <option key={s.id} value={s.id}>
                {s.title}
              </option>
            ))}
          </Select>
          {Object.keys(placed('except') ?? {}).map((id) => (
            <Tick key={id} words={text(entities[id], 'title')} on onTick={() => tick('except', id, true)} />
          ))}
        </Rule>
      </Box>
    </Pop>
  );
}

function Rule({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Flex gap="10px" py="5px" borderTopWidth="1px" borderColor="rule" align="flex-start">
      <Box w="120px" color="muted" flexShrink={0}>
        {label}
      </Box>
      <Flex wrap="wrap" gap="4px 14px" role="group" aria-label={label}>
        {children}
      </Flex>
    </Flex>
  );
}

function Tick({ words, on, onTick }: { words: string; on: boolean; onTick: () => void }) {
  return (
    <Flex as="label" gap="5px" align="center" cursor="pointer">
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
