import { Box, Flex } from '@chakra-ui/react';
import { useNavigate } from 'react-router';
import type { Draft } from '../api/client';
import { WayOn } from '../ui/Message';
import type { DraftHands } from './useDraft';

/** An application without a screen: what to do next. */
export function NothingYet({ project, draft, hands }: { project: string; draft: Draft; hands: DraftHands }) {
  const navigate = useNavigate();
  return (
    <Flex as="main" direction="column" align="flex-start" gap="14px" maxW="560px" m="12vh auto" px="24px">
      <Box w="44px" h="6px" bg="amber" />
      <Box as="h1" fontSize="title" fontWeight="800">
        “{draft.title}” has no screen yet.
      </Box>
      <Box color="muted">
        Take in tables of a database: lists, forms, a start screen and the ways between them are proposed, and made in
        one step.
      </Box>
      <WayOn words="Take in tables" glyph="list" onPress={() => navigate(`/new?into=${project}`)} />
      {draft.redo && <WayOn words="Redo what was undone" glyph="forward" onPress={() => hands.redo.mutate()} />}
    </Flex>
  );
}
