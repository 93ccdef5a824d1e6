import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Select } from '../ui/controls';
import type { ChipProps } from './ChipPicker';
import { useBuild } from './context';
import { childListsOf, recordTable, type ScreenDoc, screensOf, tablesOf } from './document';
import type { Entities } from './edit';
import { type Choice, Picker } from './Picker';
import { Pop } from './Pop';
import { newScreen } from './screens';
import { moveTo, putMove, type WayRef } from './wiring';

const moves: Choice[] = [
  { id: 'back', words: 'go back', note: 'to where one came from', glyph: 'back', group: 'Without a target' },
  { id: 'home', words: 'go home', note: 'to the start screen of the role', glyph: 'home', group: 'Without a target' },
  { id: 'up', words: 'go up', note: 'to what is “up” from here', glyph: 'up', group: 'Without a target' },
  { id: 'stay', words: 'stay here', note: 'and only do something', glyph: 'stay', group: 'Without a target' },
];

const steps = ['first', 'previous', 'next', 'last'];

/** The steps along the list that a screen's record is in, and along its lists of children. */
function stepsOf(entities: Entities, screen: ScreenDoc | undefined): Choice[] {
  const tables = tablesOf(entities);
  const one = (table: string | undefined) => tables.find((t) => t.id === table)?.one ?? 'record';
  const own = recordTable(screen);
  const choices: Choice[] = [];
  for (const s of own ? steps : []) {
    const words = `go to the ${s} ${one(own)}`;
    choices.push({ id: `step.${s}`, words, note: 'of the list come from', glyph: 'forward', group: 'Along a list' });
  }
  for (const list of screen ? childListsOf(entities, screen.id) : []) {
    for (const s of steps) {
      const words = `choose the ${s} ${one(list.table)}`;
      const note = list.label || 'of the list on this screen';
      choices.push({ id: `step.${s}.${list.id}`, words, note, glyph: 'list', group: 'Along a list' });
    }
  }
  return choices;
}

/** Where a way leads: screens by area, moves without a target, or a new screen by typing its name. */
export function TargetPicker({ wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { entities, edit } = useBuild();
  const [making, setMaking] = useState<string>();
  const screens = screensOf(entities);
  if (making !== undefined) return <MakeScreen title={making} wayRef={wayRef} onClose={onClose} />;
  const choose = async (c: Choice) => {
    if (c.id === 'new') return setMaking(c.words.slice(5));
    onClose();
    const target = screens.find((s) => s.id === c.id);
    if (target) return edit(putMove(wayRef, await moveTo(wayRef, target)));
    const [kind, step = '', list] = c.id.split('.');
    if (kind === 'step') return edit(putMove(wayRef, { kind, step, ...(list ? { list } : {}) }));
    return edit(putMove(wayRef, c.id === 'stay' ? undefined : { kind: c.id }));
  };
  return (
    <Picker
      label="Where it leads"
      up
      choices={[
        ...screens.map((s) => ({ id: s.id, words: s.title, note: s.type, glyph: s.type, group: s.area || 'No area' })),
        ...stepsOf(
          entities,
          screens.find((s) => s.id === wayRef.screen),
        ),
        ...moves,
      ]}
      make={(t) =>
        screens.some((s) => s.title.toLowerCase() === t.toLowerCase())
          ? undefined
          : { id: 'new', words: `make ${t}`, note: 'a new screen, with a way back', glyph: 'plus', group: 'New' }
      }
      onChoose={(c) => void choose(c)}
      onClose={onClose}
    />
  );
}

/** The kind of a screen that is made while wiring to it. One edit makes the screen and the way. */
function MakeScreen({ title, wayRef, onClose }: { title: string; wayRef: WayRef; onClose: () => void }) {
  const { entities, edit } = useBuild();
  const tables = tablesOf(entities);
  const [kind, setKind] = useState('menu');
  const [table, setTable] = useState(tables[0]?.id ?? '');
  const needsTable = kind === 'list' || kind === 'form';
  const make = async () => {
    onClose();
    const made = newScreen(entities, title, kind, needsTable ? tables.find((t) => t.id === table) : undefined);
    const after = { ...entities, [made.id]: made.body };
    const doc = screensOf(after).find((s) => s.id === made.id);
    // The screen is not on the server yet, so its record is bound by the way's own table here.
    const bind = doc?.record ? await bestBinding(wayRef, table, entities) : undefined;
    const move = { kind: 'screen', target: made.id, ...(doc?.record && bind ? { bind: { [doc.record]: bind } } : {}) };
    await edit([{ op: 'add', path: `/${made.id}`, value: made.body }, ...putMove(wayRef, move)]);
  };
  return (
    <Pop label="A new screen" onClose={onClose}>
      <Box p="14px" w="320px">
        <Box fontWeight="800" mb="8px">
          Make “{title}”
        </Box>
        <Flex direction="column" gap="8px">
          <Select aria-label="Kind of screen" autoFocus value={kind} onChange={(e) => setKind(e.target.value)}>
            <option value="menu">menu</option>
            <option value="list">list of records</option>
            <option value="form">form of one record</option>
            <option value="dashboard">dashboard</option>
          </Select>
          {needsTable && (
            <Select aria-label="Table" value={table} onChange={(e) => setTable(e.target.value)}>
              {tables.map((t) => (
                <option key={t.id} value={t.id}>
                  {t.label}
                </option>
              ))}
            </Select>
          )}
          <Flex gap="8px" mt="4px">
            <Action tone="main" onClick={() => void make()}>
              Make it
            </Action>
            <Action onClick={onClose}>Leave it</Action>
          </Flex>
        </Flex>
      </Box>
    </Pop>
  );
}

/** The record of a new form: this record or the clicked row where the tables agree. */
async function bestBinding(w: WayRef, table: string, entities: WayRef['entities']) {
  const here = screensOf(entities).find((s) => s.id === w.screen);
  if (w.trigger === 'row') return { rule: 'row' };
  return here?.inputs.find((i) => i.id === here.record)?.table === table ? { rule: 'this' } : undefined;
}
