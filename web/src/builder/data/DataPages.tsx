import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { api, ask, type Draft, Refused } from '../../api/client';
import { tablesOf } from '../../document/tables';
import { Message, Waiting, WayOn } from '../../ui/Message';
import type { DraftHands } from '../useDraft';
import { ApplicationPage } from './application/ApplicationPage';
import { CallUpsPage } from './callups/CallUpsPage';
import { RightsProvider } from './context';
import { LogPage } from './LogPage';
import { ConditionsPage } from './named/ConditionsPage';
import { VariablesPage } from './named/VariablesPage';
import { dataPages, wholePages } from './pages';
import { CommandsPage } from './plant/CommandsPage';
import { PlantPage } from './plant/PlantPage';
import { RolesPage } from './rights/RolesPage';
import { ScreensMatrix } from './rights/ScreensMatrix';
import { TablesMatrix } from './rights/TablesMatrix';
import { DatabasePage } from './tables/DatabasePage';
import { TablePage } from './tables/TablePage';
import { useDifferences } from './tables/useDifferences';

interface DataPagesProps {
  project: string;
  as: string;
  draft: Draft;
  hands: DraftHands;
  item: string;
  onItem: (item: string) => void;
  onScreen: (screen: string, element?: string) => void;
}

/** The Data view: tables with their fields and figures, and who may do what. */
export function DataPages({ project, as, draft, hands, item, onItem, onScreen }: DataPagesProps) {
  const { entities } = draft;
  const rights = useQuery({
    queryKey: ['rights', project, draft.seq],
    queryFn: () => ask(api.GET('/api/build/{project}/rights', { params: { path: { project } } })),
    placeholderData: (old) => old,
  });
  const { edit } = hands;
  const differ = useDifferences(project);
  if (rights.error instanceof Refused) {
    return (
      <Message problem={rights.error.problem}>
        <WayOn words="Try again" glyph="forward" onPress={() => void rights.refetch()} />
      </Message>
    );
  }
  if (!rights.data) return <Waiting what="Reading the rights …" />;
  const row = rights.data.tables.find((t) => t.table === item);
  return (
    <RightsProvider
      value={{ project, as, draft, entities, rights: rights.data, edit, openScreen: onScreen, openData: onItem }}
    >
      <Flex flex="1" minH={0}>
        <Flex
          as="nav"
          aria-label="Data"
          direction="column"
          w="216px"
          flexShrink={0}
          p="14px 10px"
          borderRightWidth="1px"
          borderColor="rule"
          overflowY="auto"
        >
          <NavHead>The whole</NavHead>
          {wholePages.map(([id, words]) => (
            <NavItem
              key={id}
              words={id === 'database' && differ ? `${words}: ${differ} differ` : words}
              here={item === id}
              onOpen={() => onItem(id)}
            />
          ))}
          <NavHead>Rights</NavHead>
          {dataPages
            .filter(([id]) => id !== 'log' || draft.administers)
            .map(([id, words]) => (
              <NavItem
                key={id}
                words={words}
                here={item === id || (id === 'tables' && !item)}
                onOpen={() => onItem(id)}
              />
            ))}
          <NavHead>Tables</NavHead>
          {tablesOf(entities).map((t) => (
            <NavItem key={t.id} words={t.label} here={item === t.id} onOpen={() => onItem(t.id)} />
          ))}
        </Flex>
        <Flex as="main" direction="column" flex="1" minW={0} p="14px 22px">
          {row ? (
            <TablePage key={row.table} row={row} />
          ) : item === 'screens' ? (
            <ScreensMatrix />
          ) : item === 'roles' ? (
            <RolesPage onPeople={hands.fresh} />
          ) : item === 'conditions' ? (
            <ConditionsPage />
          ) : item === 'variables' ? (
            <VariablesPage />
          ) : item === 'application' ? (
            <ApplicationPage />
          ) : item === 'database' ? (
            <DatabasePage />
          ) : item === 'plant' ? (
            <PlantPage />
          ) : item === 'commands' ? (
            <CommandsPage />
          ) : item === 'callups' ? (
            <CallUpsPage />
          ) : item === 'log' ? (
            <LogPage />
          ) : (
            <TablesMatrix />
          )}
        </Flex>
      </Flex>
    </RightsProvider>
  );
}

function NavHead({ children }: { children: React.ReactNode }) {
  return (
    <Box
      fontSize="12px"
      fontWeight="700"
      color="muted"
      textTransform="uppercase"
      letterSpacing="0.04em"
      px="10px"
      pt="8px"
      pb="4px"
    >
      {children}
    </Box>
  );
}

function NavItem({ words, here, onOpen }: { words: string; here: boolean; onOpen: () => void }) {
  return (
    <Box
      as="button"
      aria-current={here ? 'page' : undefined}
      onClick={onOpen}
      textAlign="left"
      px="10px"
      py="5px"
      borderRadius="3px"
      fontWeight={here ? '800' : '500'}
      bg={here ? 'amberSoft' : undefined}
      borderLeftWidth="3px"
      borderColor={here ? 'amber' : 'transparent'}
      cursor="pointer"
      _hover={{ bg: here ? 'amberSoft' : 'faint' }}
    >
      {words}
    </Box>
  );
}
