import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { CallUp } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { entityOf, type Kept } from '../../../document/parts';
import { rolesOf } from '../../../document/project';
import { screenOf } from '../../../document/screens';
import { Action, Select } from '../../../ui/controls';
import { Tick } from '../../../ui/Tick';
import { Typed } from '../../../ui/Typed';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { readCondition, type Spot } from '../../condition/spot';
import { Pop } from '../../Pop';
import { useRights } from '../context';
import { From } from './From';
import { leadTo, screensFor, ticked } from './leads';
import { NowLine } from './NowLine';

/** One call-up, as a sentence of parts that can be changed. */
export function CallUpCard({ callUp: c }: { callUp: Kept<CallUp> }) {
  const { project, as, entities, edit, openScreen } = useRights();
  const [open, setOpen] = useState(false);
  const spot: Spot = { project, as, table: c.table, use: 'callup' };
  const read = useQuery({
    queryKey: ['callup-condition', project, c.table, c.while],
    queryFn: () => readCondition(spot, { text: c.while }),
  });
  const said = useQuery({
    queryKey: ['callup-words', project, c.table, c.words],
    queryFn: () => readCondition(spot, { text: c.words ?? '', template: true }),
    enabled: !!c.words,
  });
  const [wrong, setWrong] = useState<string>();
  const say = async (words: string) => {
    setWrong(undefined);
    if (!words) return set('words', undefined);
    const r = await readCondition(spot, { text: words, template: true });
    if (r.problem) setWrong(`It cannot say that: ${r.problem.message}`);
    else set('words', r.stored);
  };
  const set = (part: string, value: Parameters<typeof put>[2]) => void edit(put(entities, [c.id, part], value));
  const table = entityOf(entities, c.table, 'table');
  const target = screenOf(entities, c.screen);
  const screens = screensFor(entities, c.table);
  const problem =
    wrong ?? read.data?.problem?.message ?? (target ? undefined : 'The screen that it brings to the front is gone.');
  return (
    <Box as="section" aria-label={c.name} borderBottomWidth="1px" borderColor="rule" py="14px">
      <Flex align="baseline" gap="12px" mb="8px">
        <Typed label="Name" width="240px" value={c.name} onSave={(name) => name && set('name', name)} />
        <Box fontSize="note" color="muted" flex="1">
          {table ? `asked of each ${table.one}` : 'of the plant as a whole'}
        </Box>
        <Action tone="quiet" onClick={() => void edit([{ op: 'remove', path: `/${c.id}` }])}>
          remove
        </Action>
      </Flex>
      <Flex wrap="wrap" gap="6px 10px" align="center">
        While
        <Action onClick={() => setOpen(true)} aria-haspopup="dialog" aria-expanded={open} aria-label="Its condition">
          {read.data?.phrase || 'choose what'}
        </Action>
        for
        <Typed
          label="Seconds that it has to hold"
          hint="0"
          width="56px"
          value={c.for ? String(c.for) : ''}
          onSave={(typed) => {
            const seconds = Number(typed.replace(',', '.') || 0);
            if (seconds >= 0 && seconds <= 3600) set('for', seconds || undefined);
          }}
        />
        s,
        <Select
          aria-label="Which screen comes"
          value={c.screen}
          onChange={(e) => {
            const to = screenOf(entities, e.target.value);
            if (to) void edit(leadTo(entities, c.id, c.table, to));
          }}
        >
          {!screens.some((s) => s.id === c.screen) && (
            <option value={c.screen}>{target?.title ?? 'a screen that is gone'}</option>
          )}
          {screens.map((s) => (
            <option key={s.id} value={s.id}>
              {s.title}
            </option>
          ))}
        </Select>
        comes to the front for
        <Flex role="group" aria-label="For whom" gap="4px 12px" wrap="wrap" align="center">
          {rolesOf(entities).map((r) => (
            <Tick
              key={r.id}
              words={r.name}
              on={c.roles?.[r.id] ?? false}
              onTick={() => set('roles', ticked(c.roles, r.id))}
            />
          ))}
          {!c.roles && <Box color="muted">everybody, as none is ticked</Box>}
        </Flex>
      </Flex>
      <From callUp={c} />
      <Flex mt="8px" gap="10px" align="center" wrap="wrap" fontSize="note">
        It says
        <Typed
          label="What it says"
          hint={c.name}
          width="320px"
          value={said.data?.shown ?? ''}
          onSave={(words) => void say(words)}
        />
        <Tick
          words="also over a question that waits for an answer"
          on={c.priority === 'high'}
          onTick={() => set('priority', c.priority === 'high' ? undefined : 'high')}
        />
        {target && (
          <Action tone="quiet" onClick={() => openScreen(target.id)}>
            build {target.title}
          </Action>
        )}
      </Flex>
      <NowLine project={project} callUp={c.id} />
      {problem && (
        <Box color="brick" mt="6px" role="alert">
          {problem}
        </Box>
      )}
      {open && (
        <Pop label={`Condition of ${c.name}`} onClose={() => setOpen(false)}>
          <ConditionEditor
            spot={spot}
            stored={c.while}
            lead="while"
            onClose={() => setOpen(false)}
            onSave={(stored) => {
              setOpen(false);
              if (stored) set('while', stored);
            }}
          />
        </Pop>
      )}
    </Box>
  );
}
