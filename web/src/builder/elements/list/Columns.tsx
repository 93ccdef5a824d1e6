import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Op } from '../../../api/client';
import type { Document, ListColumn } from '../../../document/document.gen';
import { newId, put } from '../../../document/edit';
import { entityOf, type Kept, posBehind } from '../../../document/parts';
import { fieldAlong, reachedOf, talliesOf } from '../../../document/tables';
import { Action, Select } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { ColumnMore } from './ColumnMore';

const numbers = ['whole', 'number', 'decimal'];

interface ColumnsProps {
  at: string[]; // where the columns stand in the document
  columns: Kept<ListColumn>[];
  table: string;
  entities: Document;
  edit: (patch: Op[]) => Promise<unknown>;
  /** Without what each is called and how wide it is. */
  bare?: boolean;
}

/** The columns of a list: which, in which order, what they are called there, how wide; and adding one by its name. */
export function Columns({ at, columns, table, entities, edit, bare }: ColumnsProps) {
  const fields = reachedOf(entities, table).filter(({ field }) => field.type !== 'json');
  const tallies = talliesOf(entityOf(entities, table, 'table'));
  const label = (path: string) =>
    fieldAlong(entities, table, path)?.label ?? tallies.find((t) => t.id === path)?.label ?? 'a field that is gone';
  const swap = (i: number) => {
    const [a, b] = [columns[i - 1], columns[i]];
    if (a && b)
      void edit([...put(entities, [...at, a.id, 'pos'], b.pos), ...put(entities, [...at, b.id, 'pos'], a.pos)]);
  };
  const [over, setOver] = useState<string>();
  // Onto one that comes later: behind it; onto one before: before it.
  const drop = (id: string, i: number) => {
    const others = columns.filter((x) => x.id !== id);
    const later = columns.findIndex((x) => x.id === id) < i;
    const to = others.findIndex((x) => x.id === columns[i]?.id) + (later ? 1 : 0);
    const [a, b] = [others[to - 1]?.pos, others[to]?.pos];
    const pos = a === undefined ? (b ?? 1) - 1 : b === undefined ? a + 1 : (a + b) / 2;
    void edit(put(entities, [...at, id, 'pos'], pos));
  };
  const set = (id: string, name: keyof ListColumn, value: string | number | undefined) =>
    void edit(put(entities, [...at, id, name], value));
  const share = (typed: string) => (Number(typed) > 0 ? Number(typed) : undefined);
  return (
    <>
      {columns.map((c, i) => {
        const words = c.label ?? label(c.path);
        return (
          <Flex
            key={c.id}
            align="center"
            bg={over === c.id ? 'amberSoft' : 'faint'}
            borderRadius="14px"
            pl="10px"
            pr="2px"
            minH="28px"
            onDragOver={(e: React.DragEvent) => {
              e.preventDefault();
              setOver(c.id);
            }}
            onDragLeave={() => setOver(undefined)}
            onDrop={(e: React.DragEvent) => {
              e.preventDefault();
              setOver(undefined);
              const id = e.dataTransfer.getData('text/plain');
              if (id !== c.id && columns.some((x) => x.id === id)) drop(id, i);
            }}
          >
            {columns.length > 1 && (
              <Box
                as="span"
                draggable
                cursor="grab"
                color="muted"
                pr="6px"
                title="Drag it to another place"
                onDragStart={(e: React.DragEvent) => e.dataTransfer.setData('text/plain', c.id)}
                aria-hidden
              >
                ⠿
              </Box>
            )}
            {bare && words}
            {!bare && (
              <>
                <Typed
                  label={`Words of the column ${words}`}
                  hint={label(c.path)}
                  width={`${Math.max(8, words.length + 3)}ch`}
                  value={c.label ?? ''}
                  onSave={(v) => set(c.id, 'label', v || undefined)}
                />
                <Typed
                  label={`Width of the column ${words}`}
                  hint="1"
                  width="46px"
                  value={String(c.width ?? '')}
                  onSave={(v) => set(c.id, 'width', share(v))}
                />
              </>
            )}
            {!bare && (
              <ColumnMore
                at={at}
                column={c}
                words={words}
                field={fieldAlong(entities, table, c.path)}
                number={numbers.includes(fieldAlong(entities, table, c.path)?.type ?? '')}
              />
            )}
            {i > 0 && (
              <Action
                tone="quiet"
                minH="24px"
                px="6px"
                aria-label={`${words} further to the front`}
                onClick={() => swap(i)}
              >
                ◀
              </Action>
            )}
            {columns.length > 1 && (
              <Action
                tone="quiet"
                minH="24px"
                px="6px"
                aria-label={`Remove the column ${words}`}
                onClick={() => void edit(put(entities, [...at, c.id], undefined))}
              >
                ✕
              </Action>
            )}
          </Flex>
        );
      })}
      <Select
        aria-label="Add a column"
        value=""
        onChange={(e) =>
          e.target.value &&
          void edit(put(entities, [...at, newId('c')], { pos: posBehind(columns), path: e.target.value }))
        }
      >
        <option value="">+ column</option>
        {fields
          .filter((f) => !columns.some((c) => c.path === f.path))
          .map((f) => (
            <option key={f.path} value={f.path}>
              {f.label}
            </option>
          ))}
      </Select>
    </>
  );
}
