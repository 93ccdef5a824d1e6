import { Box, Flex } from '@chakra-ui/react';
import type { Document, ListElement } from '../../../document/document.gen';
import { inOrder, type Kept } from '../../../document/parts';
import { elementsOf, type ScreenDoc, screensOf } from '../../../document/screens';
import { Action } from '../../../ui/controls';
import { Columns } from '../../elements/list/Columns';
import { useRights } from '../context';

/** What the lists of a table show: each of its lists on screens, with its columns. */
export function TableLists({ table }: { table: string }) {
  const { entities, edit, openScreen } = useRights();
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
          <Columns
            at={[screen.id, 'elements', list.id, 'columns']}
            columns={inOrder(list.columns)}
            table={table}
            entities={entities}
            edit={edit}
            bare
          />
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
