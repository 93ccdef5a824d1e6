import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { wordsOf } from '../../../administer/problems';
import { Told } from '../../../administer/Told';
import { api, ask } from '../../../api/client';
import { entitiesOf } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { Waiting } from '../../../ui/Message';
import { useRights } from '../context';

type What = 'screens' | 'dashboard' | 'operator';

/** Screens made of a table: told before they are made, and one edit then. */
export function TableMaking({ table }: { table: string }) {
  const { entities } = useRights();
  const [what, setWhat] = useState<What>();
  const equipped = entitiesOf(entities, 'equipment').some((e) => e.table === table);
  const choices: [What, string][] = [
    ['screens', 'a list and a form'],
    ['dashboard', 'a dashboard'],
  ];
  if (equipped) choices.push(['operator', 'an operator screen']);
  return (
    <Box mb="18px">
      <Flex align="center" gap="8px" wrap="wrap">
        <span>Make of them</span>
        {choices.map(([id, words]) => (
          <Action key={id} aria-expanded={what === id} onClick={() => setWhat(what === id ? undefined : id)}>
            {words}
          </Action>
        ))}
      </Flex>
      {what && <Proposal table={table} what={what} onClose={() => setWhat(undefined)} />}
    </Box>
  );
}

function Proposal({ table, what, onClose }: { table: string; what: What; onClose: () => void }) {
  const { project, draft, edit, openScreen } = useRights();
  const found = useQuery({
    queryKey: ['later', project, draft.seq, table, what],
    queryFn: () =>
      ask(api.POST('/api/build/{project}/proposals/{table}', { params: { path: { project, table } }, body: { what } })),
    retry: false,
  });
  const make = async () => {
    if (!found.data) return;
    await edit(found.data.patch);
    onClose();
    if (found.data.screen) openScreen(found.data.screen);
  };
  return (
    <Box
      role="region"
      aria-label="What would be made"
      borderWidth="1px"
      borderColor="rule"
      borderRadius="4px"
      bg="plate"
      p="10px 14px"
      mt="8px"
      maxW="720px"
    >
      {found.isPending && <Waiting what="Looking at the table …" />}
      <Told words={wordsOf(found.error)} />
      <Box as="ul" listStyleType="none" display="grid" gap="3px" mb="8px">
        {found.data?.words.map((w) => (
          <li key={w}>{w}</li>
        ))}
      </Box>
      <Flex gap="8px">
        {(found.data?.patch.length ?? 0) > 0 && (
          <Action tone="main" onClick={() => void make()}>
            Make it
          </Action>
        )}
        <Action onClick={onClose}>Cancel</Action>
      </Flex>
    </Box>
  );
}
