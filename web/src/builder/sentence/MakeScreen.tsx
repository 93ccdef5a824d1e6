import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Line, Select } from '../../ui/controls';
import { useBuild } from '../context';
import { screensOf, tablesOf } from '../document';
import { Pop } from '../Pop';
import { newScreen } from '../screens';
import { putMove, type WayRef } from './wiring';

interface MakeProps {
  title: string;
  wayRef: WayRef;
  of: string | undefined; // the case that leads there; the first one if none is said
  onClose: () => void;
}

/** The kind of a screen that is made while wiring to it. One edit makes the screen and the way. */
export function MakeScreen({ title: named, wayRef, of, onClose }: MakeProps) {
  const { entities, edit } = useBuild();
  const tables = tablesOf(entities);
  const [title, setTitle] = useState(named);
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
            onChange={(e) => setKind(e.target.value)}
          >
            <option value="menu">menu</option>
            <option value="list">list of records</option>
            <option value="form">form of one record</option>
            <option value="dashboard">dashboard</option>
            <option value="notice">notice of text and pictures</option>
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
