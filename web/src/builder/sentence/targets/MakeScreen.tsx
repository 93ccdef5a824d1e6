import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Binding, Screen, ScreenMove } from '../../../document/document.gen';
import { newScreen } from '../../../document/newScreen';
import { recordTable, screenOf } from '../../../document/screens';
import { tablesOf } from '../../../document/tables';
import { Action, Line, Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { putMove, type WayRef } from '../wiring';

interface MakeProps {
  title: string;
  wayRef: WayRef;
  of: string | undefined; // the case that leads there; the first one if none is said
  onClose: () => void;
}

const kinds: [Screen['type'], string][] = [
  ['menu', 'menu'],
  ['list', 'list of records'],
  ['form', 'form of one record'],
  ['dashboard', 'dashboard'],
  ['notice', 'notice of text and pictures'],
];

/** The kind of a screen that is made while wiring to it. One edit makes the screen and the way. */
export function MakeScreen({ title: named, wayRef, of, onClose }: MakeProps) {
  const { entities, edit } = useBuild();
  const tables = tablesOf(entities);
  const [title, setTitle] = useState(named);
  const [kind, setKind] = useState<Screen['type']>('menu');
  const [table, setTable] = useState(tables[0]?.id ?? '');
  const needsTable = kind === 'list' || kind === 'form';
  const make = async () => {
    onClose();
    const made = newScreen(entities, title, kind, needsTable ? tables.find((t) => t.id === table) : undefined);
    const { record } = made.body;
    // The screen is not on the server yet, so its record is bound by the way's own table here.
    const bind = record ? bestBinding(wayRef, table) : undefined;
    const move: ScreenMove = {
      kind: 'screen',
      target: made.id,
      ...(kind === 'notice' ? { as: 'dialog' as const } : {}),
      ...(record && bind ? { bind: { [record]: bind } } : {}),
    };
    await edit([{ op: 'add', path: `/${made.id}`, value: made.body }, ...putMove(wayRef, move, of)]);
  };
  return (
    <Pop label="A new screen" onClose={onClose}>
      <Box p="14px" w="320px">
        <Box fontWeight="800" mb="8px">
          {named ? `Make “${named}”` : 'Make a screen, with a way back'}
        </Box>
        <Flex direction="column" gap="8px">
          {!named && (
            <Line
              aria-label="Its name"
              autoFocus
              placeholder="its name"
              value={title}
              onChange={(e) => setTitle(e.target.value)}
            />
          )}
          <Select
            aria-label="Kind of screen"
            autoFocus={!!named}
            value={kind}
            onChange={(e) => setKind(kinds.find(([id]) => id === e.target.value)?.[0] ?? 'menu')}
          >
            {kinds.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
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
            <Action tone="main" disabled={!title.trim()} onClick={() => void make()}>
              Make it
            </Action>
            <Action onClick={onClose}>Cancel</Action>
          </Flex>
        </Flex>
      </Box>
    </Pop>
  );
}

/** The record of a new form: this record or the chosen row where the tables agree. */
function bestBinding(w: WayRef, table: string): Binding | undefined {
  if (w.trigger === 'row') return { rule: 'row' };
  return recordTable(screenOf(w.entities, w.screen)) === table ? { rule: 'this' } : undefined;
}
