import { Box, Flex } from '@chakra-ui/react';
import type { Document, ListElement } from '../../document/document.gen';
import { newId, put } from '../../document/edit';
import { entityOf, inOrder, type Kept, posBehind } from '../../document/parts';
import { elementsOf, type ScreenDoc, screensOf } from '../../document/screens';
import { fieldAlong, fieldsOf } from '../../document/tables';
import { Action, Select } from '../../ui/controls';
import { useRights } from './context';

/** What the lists of a table show: each of its lists on screens, with its columns. */
export function TableLists({ table }: { table: string }) {
  const { entities, openScreen } = useRights();
  const lists = listsOf(entities, table);
  if (lists.length === 0) return <Box color="muted">No screen lists them.</Box>;
  return (
    <Box as="ul" listStyleType="none">
      {lists.map(({ screen, list }) => (
        <Flex
          as="li"
          key={`${screen.id}.${list.id}`}
          align="center"
          gap="6px"
          wrap="wrap"
          py="5px"
          borderBottomWidth="1px"
          borderColor="rule"
          fontSize="note"
        >
          <Action tone="quiet" onClick={() => openScreen(screen.id, list.id)}>
            {screen.title}
            {list.relation ? `: ${list.label ?? 'its list'}` : ''}
          </Action>
          <Columns screen={screen.id} list={list} table={table} />
        </Flex>
      ))}
    </Box>
  );
}

function listsOf(entities: Document, table: string): { screen: ScreenDoc; list: Kept<ListElement> }[] {
  return screensOf(entities).flatMap((screen) =>
    elementsOf(entities, screen.id).flatMap((e) =>
      e.kind === 'list' && e.table === table ? [{ screen, list: e }] : [],
    ),
  );
}

function Columns({ screen, list, table }: { screen: string; list: Kept<ListElement>; table: string }) {
  const { entities, edit } = useRights();
  const at = [screen, 'elements', list.id, 'columns'];
  const columns = inOrder(list.columns);
  const fields = fieldsOf(entityOf(entities, table, 'table')).filter((f) => f.type !== 'json');
  const label = (path: string) => fieldAlong(entities, table, path)?.label ?? 'a field that is gone';
  const swap = (i: number) => {
    const [a, b] = [columns[i - 1], columns[i]];
    if (a && b)
      void edit([...put(entities, [...at, a.id, 'pos'], b.pos), ...put(entities, [...at, b.id, 'pos'], a.pos)]);
  };
  return (
    <>
      {columns.map((c, i) => {
        const words = c.label ?? label(c.path);
        return (
          <Flex key={c.id} align="center" bg="faint" borderRadius="14px" pl="10px" pr="2px" minH="28px">
            {words}
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
          .filter((f) => !columns.some((c) => c.path === f.id))
          .map((f) => (
            <option key={f.id} value={f.id}>
              {f.label}
            </option>
          ))}
      </Select>
    </>
  );
}
