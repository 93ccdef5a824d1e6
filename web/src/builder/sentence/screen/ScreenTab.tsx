import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask } from '../../../api/client';
import { put } from '../../../document/edit';
import { recordTable, screenOf } from '../../../document/screens';
import { Action } from '../../../ui/controls';
import { useBuild } from '../../context';
import { GuardLine } from '../../data/rights/GuardLine';
import { RailsHere } from '../../rails/RailsHere';
import { TabRow } from '../../TabRow';
import { NewWay } from '../ways/NewWay';
import { KindLook } from './KindLook';
import { Repoint } from './Repoint';
import { ScreenExpected } from './ScreenExpected';
import { ScreenParts } from './ScreenParts';

const tabs = ['Who', 'Settings'] as const;
type Tab = (typeof tabs)[number];

/** What the bottom says while nothing is chosen: who may be on the screen, what one can do, its own settings. */
export function ScreenTab() {
  const { project, as, draft, entities, screen, edit } = useBuild();
  const navigate = useNavigate();
  const [tab, setTab] = useState<Tab>('Who');
  const rights = useQuery({
    queryKey: ['rights', project, draft.seq],
    queryFn: () => ask(api.GET('/api/build/{project}/rights', { params: { path: { project } } })),
    placeholderData: (old) => old,
  });
  const doc = screenOf(entities, screen);
  if (!doc) return null;
  const row = rights.data?.screens.find((s) => s.screen === screen);
  const turn = (name: 'bare' | 'offered') => void edit(put(entities, [screen, name], doc[name] ? undefined : true));
  return (
    <Flex gap="40px" h="full">
      <Box flex="1">
        <Flex align="baseline" gap="14px" mb="2px">
          <Box fontWeight="800">{doc.title}</Box>
          <TabRow<Tab> tabs={tabs} at={tab} onTab={setTab} />
        </Flex>
        {tab === 'Settings' && <ScreenParts screen={doc} />}
        {tab === 'Who' && row && (
          <GuardLine
            project={project}
            as={as}
            entities={entities}
            screen={screen}
            sentence={row.sentence}
            edit={edit}
            onTable={() => navigate(`/build/${project}/data/${recordTable(doc)}`)}
            size="18px"
          />
        )}
        {tab === 'Who' && <ScreenExpected />}
        {tab === 'Who' && (
          <Box color="muted" fontSize="note" maxW="620px" mt="4px">
            Press a button or plate to see its way. Press it again to try it as the person you walk as; nothing is
            saved. Drag it to move it; type into an empty cell to put something there.
          </Box>
        )}
      </Box>
      {tab === 'Who' && (
        <Box fontSize="note">
          <Box color="muted" mb="4px">
            Its address ends in <b>/{doc.slug}</b>
          </Box>
          <Box color="muted" mb="6px">
            The top strip, with back, forward and home, is {doc.bare ? 'not shown' : 'shown'} here.
          </Box>
          <Flex gap="8px" wrap="wrap" w="560px">
            <Action onClick={() => turn('bare')}>{doc.bare ? 'Show the top strip' : 'Hide the top strip'}</Action>
            <Action onClick={() => turn('offered')}>
              {doc.offered ? 'Offer it to nobody else' : 'Offer it to other applications'}
            </Action>
            <NewWay />
            <Repoint />
            <RailsHere />
            <KindLook type={doc.type} />
          </Flex>
        </Box>
      )}
    </Flex>
  );
}
